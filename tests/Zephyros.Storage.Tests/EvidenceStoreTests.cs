using Microsoft.Data.Sqlite;
using Zephyros.Core.Evidence;
using Zephyros.Core.Units;

namespace Zephyros.Storage.Tests;

public sealed class EvidenceStoreTests : IDisposable
{
    private readonly TemporaryStore temporary = new();

    public void Dispose() => temporary.Dispose();

    [Fact]
    public void A_bind_stays_as_it_was_recorded_and_knows_what_it_depends_on()
    {
        var setup = TemporaryStore.Demo("sandpiper");
        var id = temporary.Store.Create(setup, "new").Id;
        var evidence = new EvidenceStore(Database.Open(temporary.File), TimeProvider.System);
        evidence.Add(id, EvidenceKind.Bind, new BindRecord { Note = "first" }, EvidenceBasis.OfBind(setup));
        evidence.Add(
            id,
            EvidenceKind.Bind,
            new BindRecord { Note = "second", Steps = [new() { Do = "Wait.", AsExpected = false }] },
            EvidenceBasis.OfBind(setup)
        );
        var binds = evidence.List<BindRecord>(id, EvidenceKind.Bind);
        Assert.Equal(["second", "first"], binds.Select(b => b.Record.Note));
        Assert.Equal([false, true], binds.Select(b => b.Record.WentAsExpected));
        Assert.Empty(EvidenceBasis.Changed(setup, binds[0].Basis));
        // The order of members and what a bind does not depend on make no difference; the band does.
        var elsewhere = setup with
        {
            Air = setup.Air with { Power = new Milliwatts(25), WarnBelow = new Percent(80) },
        };
        Assert.Empty(EvidenceBasis.Changed(elsewhere, binds[0].Basis));
        var moved = setup with { Air = setup.Air with { Frequency = new Megahertz(868) } };
        Assert.Equal(["the band"], EvidenceBasis.Changed(moved, binds[0].Basis));
        Assert.Throws<SqliteException>(() => temporary.Execute("DELETE FROM evidence"));
        Assert.Throws<SqliteException>(() => temporary.Execute("UPDATE evidence SET record = '{}'"));
    }

    [Fact]
    public void Evidence_belongs_to_its_setup_and_is_of_its_kind()
    {
        var sandpiper = temporary.Store.Create(TemporaryStore.Demo("sandpiper"), "new").Id;
        var wren = temporary.Store.Create(TemporaryStore.Demo("wren"), "new").Id;
        var evidence = new EvidenceStore(Database.Open(temporary.File), TimeProvider.System);
        var first = evidence.Add(sandpiper, EvidenceKind.Bind, new BindRecord { Note = "a bind" }, []);
        var second = evidence.Add(sandpiper, EvidenceKind.Measurement, new MeasurementRecord { Note = "sizes" }, []);
        var third = evidence.Add(wren, EvidenceKind.Bind, new BindRecord { Note = "of the other" }, []);
        Assert.Equal([1, 2, 3], [first.Id, second.Id, third.Id]);
        Assert.Equal("a bind", Assert.Single(evidence.List<BindRecord>(sandpiper, EvidenceKind.Bind)).Record.Note);
        var sizes = Assert.Single(evidence.List<MeasurementRecord>(sandpiper, EvidenceKind.Measurement));
        Assert.Equal(("sizes", second.Id, second.TakenAt), (sizes.Record.Note, sizes.Id, sizes.TakenAt));
        Assert.Equal("of the other", Assert.Single(evidence.List<BindRecord>(wren, EvidenceKind.Bind)).Record.Note);
        Assert.Empty(evidence.List<MeasurementRecord>(wren, EvidenceKind.Measurement));
        Assert.Throws<SqliteException>(() => evidence.Add("nobody", EvidenceKind.Bind, new BindRecord(), []));
    }
}
