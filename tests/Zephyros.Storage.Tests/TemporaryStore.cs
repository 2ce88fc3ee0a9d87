using Microsoft.Data.Sqlite;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Storage.Tests;

/// <summary>A store on a data file of its own, deleted with the test.</summary>
internal sealed class TemporaryStore : IDisposable
{
    private readonly DirectoryInfo folder = Directory.CreateTempSubdirectory("zephyros-test-");

    public TemporaryStore() => Store = new(Database = Database.Open(File), TimeProvider.System);

    public Database Database { get; }

    public SetupStore Store { get; }

    public string File => Path.Combine(folder.FullName, "zephyros.db");

    public SetupStore Open() => new(Database.Open(File), TimeProvider.System);

    public static Setup Demo(string name) => SetupJson.Read(System.IO.File.ReadAllBytes($"demo/{name}.json")).Setup!;

    public void Execute(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={File};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // The texts are the tests' own.
        command.CommandText = sql;
#pragma warning restore CA2100
        command.ExecuteNonQuery();
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        folder.Delete(recursive: true);
    }
}
