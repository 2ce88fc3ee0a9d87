using Zephyros.Core.Evidence;
using Zephyros.Core.Units;

namespace Zephyros.Storage.Tests;

/// <summary>One document that cannot be read closes nothing else, is shown as such, and can be taken away as it is stored.</summary>
public sealed class UnreadableTests : IDisposable
{
    private readonly TemporaryStore temporary = new();
    private readonly Database database;
    private readonly EvidenceStore evidence;
    private readonly LinkProfileStore profiles;

    public UnreadableTests()
    {
        database = Database.Open(temporary.File);
        evidence = new EvidenceStore(database, TimeProvider.System);
        profiles = new LinkProfileStore(database, TimeProvider.System);
        temporary.Store.Create(TemporaryStore.Demo("wren"), "new");
        temporary.Store.Create(TemporaryStore.Demo("gannet"), "new");
    }

    public static TheoryData<string, string, string> Documents =>
        new()
        {
            { "", "wren", "Not JSON" },
            { "null", "wren", "A setup is a JSON object." },
            { "[]", "wren", "A setup is a JSON object." },
            { """{"format":"zephyros-setup","version":1}""", "wren", "Missing here: 'craft'" },
            {
                """{"format":"zephyros-setup","version":2,"craft":{"name":"Wren II"}}""",
                "Wren II",
                "Version 2 is not known"
            },
            { """{"format":"zephyros-setup","version":0}""", "wren", "Version 0 is not known" },
            { """{"craft":{"name":"\ud800"}}""", "wren", "/format" },
            { """{"craft":["name"],"format":"other"}""", "wren", "/format" },
            { new string('[', 5000), "wren", "Not JSON" },
        };

    private Salvage Salvage => new(database, temporary.Store, evidence, profiles);

    public void Dispose() => temporary.Dispose();

    [Theory]
    [MemberData(nameof(Documents))]
    public void A_setup_that_cannot_be_read_is_shown_as_such_and_an_undo_leads_away_from_it(
        string document,
        string name,
        string reason
    )
    {
        Break(document);
        Assert.Equal("gannet", Assert.Single(temporary.Store.List()).Id);
        var shown = Assert.Single(Salvage.List());
        Assert.Equal(
            (DocumentKind.Setup, "wren", "wren", name, 2, "Broken"),
            (shown.Kind, shown.Id, shown.Setup, shown.Name, shown.Revision, shown.UndoTitle)
        );
        Assert.Contains(reason, shown.Reason, StringComparison.Ordinal);
        Assert.Equal(document, Salvage.Text(DocumentKind.Setup, "wren"));
        Assert.Contains(
            shown.Reason,
            Assert.Throws<UnreadableException>(() => temporary.Store.Find("wren")).Message,
            StringComparison.Ordinal
        );
        Assert.Throws<UnreadableException>(() => temporary.Store.At("wren", 2));
        Assert.Equal("Wren", temporary.Store.At("wren", 1)!.Craft.Name);
        Assert.Equal(2, temporary.Store.History("wren").Count);

        Assert.Equal((SaveOutcome.Saved, 3), Done(temporary.Store.Undo("wren", 2)));
        Assert.Empty(Salvage.List());
        Assert.Equal(["gannet", "wren"], temporary.Store.List().Select(s => s.Id));
        // What cannot be read can be shown again and left again.
        Assert.Throws<UnreadableException>(() => temporary.Store.Redo("wren", 3));
        Assert.Equal(3, temporary.Store.Find("wren")!.Revision);
    }

    [Fact]
    public void A_new_edit_may_replace_it_and_only_unreadable_setups_are_no_empty_file()
    {
        Break("{}");
        Assert.Equal(
            (SaveOutcome.Saved, 3),
            Done(temporary.Store.Save("wren", 2, TemporaryStore.Demo("wren"), "Put back"))
        );
        Assert.False(temporary.Store.IsEmpty);
        using var other = new TemporaryStore();
        Assert.True(other.Store.IsEmpty);
        Assert.Null(temporary.Store.Text("nobody"));
    }

    [Fact]
    public void Evidence_that_cannot_be_read_or_is_of_a_kind_from_elsewhere_leaves_the_rest()
    {
        var kept = evidence.Add("wren", EvidenceKind.Bind, new BindRecord { Note = "kept" }, []);
        Insert("bind", """{"note":"damaged""", "[]");
        Insert("bind", "{}", """[{"path":1}]""");
        Insert("measurement", """{"wiggles":[{"moved":"sideways"}]}""", "[]");
        Insert("range-check", """{"passed":true}""", "[]");
        Assert.Equal(kept.Id, Assert.Single(evidence.List<BindRecord>("wren", EvidenceKind.Bind)).Id);
        Assert.Empty(evidence.List<MeasurementRecord>("wren", EvidenceKind.Measurement));
        var shown = Salvage.List();
        Assert.Equal(["2 bind", "3 bind", "4 measurement", "5 range-check"], shown.Select(d => $"{d.Id} {d.Name}"));
        Assert.All(shown, d => Assert.Equal((DocumentKind.Evidence, "wren"), (d.Kind, d.Setup)));
        Assert.StartsWith("At /0/path: ", shown[1].Reason, StringComparison.Ordinal);
        Assert.StartsWith("At /wiggles/0/moved: ", shown[2].Reason, StringComparison.Ordinal);
        Assert.Equal("This program does not know evidence of the kind \"range-check\".", shown[3].Reason);
        Assert.Equal("{\"passed\":true}\n[]\n", Salvage.Text(DocumentKind.Evidence, "5"));
        Assert.Null(Salvage.Text(DocumentKind.Evidence, "6"));
        Assert.Null(Salvage.Text(DocumentKind.Evidence, "five"));
    }

    [Fact]
    public void A_radio_system_that_cannot_be_read_leaves_the_others()
    {
        temporary.Execute(
            "INSERT INTO link_profiles VALUES ('mine', '{\"name\":\"My own\"}', '2026-02-03T04:05:06.0000000Z')"
        );
        Assert.Empty(profiles.List());
        var shown = Assert.Single(Salvage.List());
        Assert.Equal((DocumentKind.LinkProfile, "mine", "My own"), (shown.Kind, shown.Id, shown.Name));
        Assert.Equal("{\"name\":\"My own\"}", Salvage.Text(DocumentKind.LinkProfile, "mine"));
        Assert.Null(Salvage.Text(DocumentKind.LinkProfile, "yours"));
    }

    // As version 2 of the tables had them; the records are read for ever.
    [Fact]
    public void Evidence_of_an_older_file_is_kept_word_for_word_and_stays_append_only()
    {
        temporary.Execute(
            """
            DROP TABLE shelf; DROP TABLE revision_names; DROP TABLE evidence;
            CREATE TABLE evidence (
                id INTEGER PRIMARY KEY, setup_id TEXT NOT NULL REFERENCES setups (id),
                kind TEXT NOT NULL CHECK (kind IN ('bind', 'measurement')),
                taken_at TEXT NOT NULL, record TEXT NOT NULL, basis TEXT NOT NULL) STRICT;
            CREATE INDEX evidence_by_setup ON evidence (setup_id, kind, id);
            CREATE TRIGGER evidence_is_never_changed BEFORE UPDATE ON evidence BEGIN SELECT RAISE(ABORT, 'no'); END;
            CREATE TRIGGER evidence_is_never_deleted BEFORE DELETE ON evidence BEGIN SELECT RAISE(ABORT, 'no'); END;
            INSERT INTO evidence VALUES (7, 'wren', 'bind', '2026-03-01T10:00:00.0000000+00:00',
                '{"moduleFirmware":"1.2","receiverFirmware":"1.0","options":"","steps":[{"do":"Wait.","asExpected":true}],"note":"n"}',
                '[{"path":"/air/profile","name":"the radio system","hash":"00"}]');
            INSERT INTO evidence VALUES (9, 'wren', 'measurement', '2026-03-02T10:00:00.0000000+00:00',
                '{"wiggles":[{"moved":"roll","bar":"pitch","reversed":true}],"sweeps":{"roll":{"low":1000,"centre":1500,"high":2000,"jitter":2}},"positions":[{"control":"left-shoulder","setting":1,"channel":5,"value":988,"jitter":0}],"simulated":true,"note":""}',
                '[{"path":"/transmitter/scale","name":"the transmitter''s scale","hash":"00"}]');
            PRAGMA user_version = 2;
            """
        );
        var again = new EvidenceStore(Database.Open(temporary.File), TimeProvider.System);
        Assert.Empty(again.Unreadable());
        var bind = Assert.Single(again.List<BindRecord>("wren", EvidenceKind.Bind));
        Assert.Equal((7, "1.2", "Wait."), (bind.Id, bind.Record.ModuleFirmware, bind.Record.Steps[0].Do));
        Assert.Equal(["the radio system"], EvidenceBasis.Changed(temporary.Store.Find("wren")!.Setup, bind.Basis));
        var measured = Assert.Single(again.List<MeasurementRecord>("wren", EvidenceKind.Measurement));
        Assert.Equal((9, new Microseconds(1500)), (measured.Id, measured.Record.Sweeps["roll"].Centre));
        Assert.Equal(new Microseconds(988), measured.Record.Positions[0].Value);
        Assert.Throws<Microsoft.Data.Sqlite.SqliteException>(() => temporary.Execute("DELETE FROM evidence"));
        Assert.Throws<Microsoft.Data.Sqlite.SqliteException>(() => temporary.Execute("UPDATE evidence SET kind = 'x'"));
        Assert.Equal(10, again.Add("wren", EvidenceKind.Bind, new BindRecord(), []).Id);
    }

    private static (SaveOutcome, int) Done(SaveResult result) => (result.Outcome, result.Current!.Revision);

    private void Break(string document) =>
        temporary.Execute(
            "INSERT INTO revisions (setup_id, number, kind, title, shows, parent, document, saved_at) "
                + $"VALUES ('wren', 2, 'edit', 'Broken', 2, 1, '{document}', '2026-01-02T03:04:05.000Z')"
        );

    private void Insert(string kind, string record, string basis) =>
        temporary.Execute(
            "INSERT INTO evidence (setup_id, kind, taken_at, record, basis) "
                + $"VALUES ('wren', '{kind}', '2026-01-02T03:04:05.0000000Z', '{record}', '{basis}')"
        );
}
