using Microsoft.Data.Sqlite;

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

    [Fact]
    public void A_full_disk_is_said_and_what_was_saved_stays()
    {
        var wren = TemporaryStore.Demo("wren");
        temporary.Store.Create(wren, "new");
        // SQLite's own limit on pages stands in for a full disk: the same error code, 13.
        using var connection = new SqliteConnection($"Data Source={temporary.File};Pooling=False");
        connection.Open();
        using var limit = connection.CreateCommand();
        limit.CommandText = "PRAGMA max_page_count = 1";
        limit.ExecuteNonQuery();
        using var command = connection.CreateCommand();
        command.CommandText = "CREATE TABLE filler AS SELECT zeroblob(1000000) AS b";
        var error = Assert.Throws<SqliteException>(() => command.ExecuteNonQuery());
        Assert.Equal("the disk is full. Make room and try again; nothing was changed.", Database.Explain(error));
        Assert.Single(temporary.Store.List());
    }

    [Fact]
    public void Opening_again_migrates_nothing_twice()
    {
        temporary.Store.Create(TemporaryStore.Demo("wren"), "new");
        Assert.Single(temporary.Open().List());
    }
}
