using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;

namespace Zephyros.Storage;

/// <summary>The SQLite file: opens it, brings its tables up to date, hands out connections.</summary>
/// <remarks>Write-ahead log and synchronous=FULL: what was acknowledged survives a kill at any moment.</remarks>
public sealed class Database
{
    private const int BusySeconds = 5;
    private readonly string connectionString;
    private readonly long mostPages;

    private Database(string connectionString, long mostPages) =>
        (this.connectionString, this.mostPages) = (connectionString, mostPages);

    /// <summary>The newest version of the tables that this program knows.</summary>
    public static int NewestVersion => Migrations().Count;

    /// <summary>Opens a data file, which is made when there is none.</summary>
    /// <param name="path">The file; its folder must exist.</param>
    /// <param name="mostPages">To how many pages it may grow; 0 when only the disk sets a limit.</param>
    /// <exception cref="StoreException">The file is damaged, of a newer program, locked, or cannot be written.</exception>
    public static Database Open(string path, long mostPages = 0)
    {
        var database = new Database(
            new SqliteConnectionStringBuilder
            {
                DataSource = path,
                ForeignKeys = true,
                DefaultTimeout = BusySeconds,
                // The limit belongs to a connection, which nobody else may get afterwards.
                Pooling = mostPages == 0,
            }.ToString(),
            mostPages
        );
        try
        {
            using var connection = database.Connect();
            Execute(connection, "PRAGMA journal_mode = WAL");
            Migrate(connection);
            return database;
        }
        catch (SqliteException error)
        {
            throw new StoreException(
                $"The data file {System.IO.Path.GetFileName(path)} cannot be opened: {Explain(error)}",
                error
            );
        }
    }

    /// <summary>A new connection, open and set up. The caller disposes it.</summary>
    public SqliteConnection Connect()
    {
        var connection = new SqliteConnection(connectionString);
        connection.Open();
        Execute(connection, "PRAGMA synchronous = FULL");
        if (mostPages > 0)
            Execute(connection, string.Create(CultureInfo.InvariantCulture, $"PRAGMA max_page_count = {mostPages}"));
        return connection;
    }

    /// <summary>What a database error means for the pilot, in one sentence.</summary>
    public static string Explain(SqliteException error) =>
        error.SqliteErrorCode switch
        {
            5 or 6 => "another program holds it locked. Close that program and try again.",
            8 => "it is read-only. Check the file's permissions.",
            10 => "the disk reports an error. Check the disk.",
            11 or 26 => "it is damaged or no data file of Zephyros. Put it aside and restore a copy.",
            13 => "the disk is full. Make room and try again; nothing was changed.",
            14 => "the file or its folder cannot be reached. Check the path and its permissions.",
            _ => error.Message,
        };

    private static void Migrate(SqliteConnection connection)
    {
        var migrations = Migrations();
        var version = Convert.ToInt32(Scalar(connection, "PRAGMA user_version"), CultureInfo.InvariantCulture);
        if (version > migrations.Count)
        {
            throw new StoreException(
                $"The data file has version {version} of the tables, this program knows {migrations.Count}. Use a newer program; nothing was changed."
            );
        }

        for (var next = version; next < migrations.Count; next++)
        {
            using var transaction = connection.BeginTransaction();
            Execute(connection, migrations[next]);
            // The pragma is part of the transaction: tables and their number change together or not at all.
            Execute(connection, string.Create(CultureInfo.InvariantCulture, $"PRAGMA user_version = {next + 1}"));
            transaction.Commit();
        }
    }

    private static List<string> Migrations()
    {
        var assembly = Assembly.GetExecutingAssembly();
        return
        [
            .. assembly
                .GetManifestResourceNames()
                .Where(name => name.EndsWith(".sql", StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
                .Select(name =>
                {
                    using var reader = new StreamReader(assembly.GetManifestResourceStream(name)!);
                    return reader.ReadToEnd();
                }),
        ];
    }

    private static void Execute(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // The texts are this assembly's own resources and constants.
        command.CommandText = sql;
#pragma warning restore CA2100
        command.ExecuteNonQuery();
    }

    private static object? Scalar(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // The text is a constant of this class.
        command.CommandText = sql;
#pragma warning restore CA2100
        return command.ExecuteScalar();
    }
}
