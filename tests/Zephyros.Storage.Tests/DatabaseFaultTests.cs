using System.Globalization;
using Microsoft.Data.Sqlite;
using Zephyros.Core.Evidence;

namespace Zephyros.Storage.Tests;

public sealed class DatabaseFaultTests : IDisposable
{
    private readonly TemporaryStore temporary = new();

    public void Dispose() => temporary.Dispose();

    [Fact]
    public void Tables_of_a_newer_program_are_left_alone()
    {
        temporary.Execute($"PRAGMA user_version = {Database.NewestVersion + 1}");
        var error = Assert.Throws<StoreException>(() => temporary.Open());
        Assert.Contains("Use a newer program; nothing was changed.", error.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_file_that_is_no_database_is_named_and_left_alone()
    {
        var file = temporary.File + ".other";
        File.WriteAllText(file, new string('x', 5000));
        var error = Assert.Throws<StoreException>(() => Database.Open(file));
        Assert.Contains("damaged or no data file", error.Message, StringComparison.Ordinal);
        Assert.Equal(5000, new FileInfo(file).Length);
    }

    [Fact]
    public void A_folder_that_is_not_there_is_said() =>
        Assert.Contains(
            "cannot be reached",
            Assert.Throws<StoreException>(() => Database.Open("/nowhere/at/all.db")).Message,
            StringComparison.Ordinal
        );

    // SQLite's own limit on pages stands in for a full disk: the same error code, 13.
    [Fact]
    public void A_full_disk_is_said_and_what_was_saved_stays()
    {
        var wren = TemporaryStore.Demo("wren");
        var id = temporary.Store.Create(wren, "new").Id;
        var pages = new FileInfo(temporary.File).Length / 4096;
        var database = Database.Open(temporary.File, mostPages: pages + 4);
        var full = new SetupStore(database, TimeProvider.System);
        var saved = 1;
        var error = Assert.Throws<SqliteException>(() =>
        {
            while (
                full.Save(id, saved, wren with { Craft = wren.Craft with { Summary = $"{saved}" } }, "x").Outcome
                == SaveOutcome.Saved
            )
                saved++;
        });
        Assert.Equal(
            "The data file zephyros.db: the disk is full. Make room and try again; nothing was changed.",
            database.Explain(error)
        );
        // What was acknowledged is there, and nothing of what was not; with room it goes on.
        Assert.Throws<SqliteException>(() => full.Create(wren, "another"));
        var again = temporary.Open();
        Assert.Single(again.List());
        Assert.Equal((saved, saved), (again.Find(id)!.Revision, again.History(id).Count));
        Assert.Equal(SaveOutcome.Saved, again.Save(id, saved, wren, "with room").Outcome);
    }

    // SQLite's documentation of the pragmas: 2 is FULL, with which a commit survives a loss of power also in the write-ahead log.
    [Theory]
    [InlineData("synchronous", "2")]
    [InlineData("journal_mode", "wal")]
    [InlineData("foreign_keys", "1")]
    public void Every_connection_keeps_what_was_acknowledged(string pragma, string value)
    {
        var database = Database.Open(temporary.File);
        for (var i = 0; i < 2; i++)
        {
            using var connection = database.Connect();
            using var command = connection.CreateCommand();
#pragma warning disable CA2100 // The names are the test's own.
            command.CommandText = $"PRAGMA {pragma}";
#pragma warning restore CA2100
            Assert.Equal(value, Convert.ToString(command.ExecuteScalar(), CultureInfo.InvariantCulture));
        }
    }

    [Theory]
    [InlineData(5, "another program")]
    [InlineData(6, "another program")]
    [InlineData(8, "read-only")]
    [InlineData(10, "disk reports an error")]
    [InlineData(11, "damaged")]
    [InlineData(14, "cannot be reached")]
    [InlineData(26, "no data file")]
    [InlineData(1, "as it was said")]
    public void What_the_database_reports_is_said_in_a_sentence(int code, string says)
    {
        using var database = Database.Open(temporary.File);
        var said = database.Explain(new SqliteException("as it was said", code));
        Assert.StartsWith("The data file zephyros.db: ", said, StringComparison.Ordinal);
        Assert.Contains(says, said, StringComparison.Ordinal);
    }

    // Each step of the tables is taken once and leaves its number.
    [Fact]
    public void A_file_of_an_older_program_is_brought_up_to_date_and_keeps_its_setups()
    {
        temporary.Store.Create(TemporaryStore.Demo("wren"), "new");
        temporary.Execute(
            "DROP TABLE evidence; DROP TABLE link_profiles; DROP TABLE shelf; DROP TABLE revision_names; PRAGMA user_version = 1"
        );
        Assert.Single(temporary.Open().List());
        Assert.Empty(
            new EvidenceStore(Database.Open(temporary.File), TimeProvider.System).List<BindRecord>(
                "wren",
                EvidenceKind.Bind
            )
        );
    }

    [Fact]
    public void Opening_again_migrates_nothing_twice()
    {
        temporary.Store.Create(TemporaryStore.Demo("wren"), "new");
        Assert.Single(temporary.Open().List());
    }
}
