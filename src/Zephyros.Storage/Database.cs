using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;

namespace Zephyros.Storage;

/// <summary>The SQLite file: opens it, brings its tables up to date, hands out connections.</summary>
/// <remarks>Write-ahead log and synchronous=FULL: what was acknowledged survives a kill at any moment.</remarks>
public sealed class Database : IDisposable
{
    private const int BusySeconds = 5;
    private readonly string path;
    private readonly string connectionString;
    private readonly long mostPages;

    // Stays open: through it what was in the file can be read, wherever the file went.
    private readonly SqliteConnection keeper;
    private readonly Lock keeping = new();

    private Database(string path, long mostPages)
    {
        (this.path, this.mostPages) = (path, mostPages);
        keeper = new SqliteConnection(ConnectionString(SqliteOpenMode.ReadWriteCreate));
        connectionString = ConnectionString(SqliteOpenMode.ReadWrite);
    }

    /// <summary>The name of the file, without its folder.</summary>
    public string FileName => Path.GetFileName(path);

    /// <summary>What was damaged in the file when it was opened, in the words of the database; null when nothing was.</summary>
    public string? Damaged { get; private set; }

    /// <summary>The newest version of the tables that this program knows.</summary>
    public static int NewestVersion => Migrations().Count;

    /// <summary>Opens a data file, which is made when there is none.</summary>
    /// <param name="path">The file; its folder must exist.</param>
    /// <param name="mostPages">To how many pages it may grow; 0 when only the disk sets a limit.</param>
    /// <exception cref="StoreException">The file is damaged, of a newer program, locked, or cannot be written.</exception>
    public static Database Open(string path, long mostPages = 0)
    {
        var database = new Database(path, mostPages);
        try
        {
            SetUp(database.keeper, mostPages);
            Execute(database.keeper, "PRAGMA journal_mode = WAL");
            Migrate(database.keeper);
            database.Damaged = Rows.ReadAsFar(database.keeper, "PRAGMA quick_check(1)", row => row.GetString(0)) switch
            {
                (_, { } damage) => damage.InnerException!.Message,
                (["ok"], null) => null,
                // "*** in database main ***", and what on the next line.
                var (found, _) => found[0].Split('\n')[^1],
            };
            return database;
        }
        catch (Exception error)
        {
            database.Dispose();
            if (error is not SqliteException reported)
                throw;
            throw new StoreException($"{database.Explain(reported)} The program cannot open it.", error);
        }
    }

    /// <summary>What it means for the pilot that the file is gone.</summary>
    internal string Gone =>
        $"The data file {FileName} was moved, deleted or replaced while the program ran: nothing can be saved. What it held can be read and exported until the program ends. Put the file back where it was, or export your craft and start the program again.";

    /// <summary>True while the file does not lie where it was opened; nothing is saved then.</summary>
    public bool IsGone
    {
        get
        {
            lock (keeping)
                return MovedFile.IsBehind(keeper);
        }
    }

    /// <summary>A new connection, open and set up. The caller disposes it. When the file no longer lies where it was, it leads to a copy
    /// of what was in it: that can be read, and <see cref="Begin"/> refuses to write there.</summary>
    public SqliteConnection Connect()
    {
        lock (keeping)
        {
            if (MovedFile.IsBehind(keeper))
                return Copy();
        }

        var connection = new SqliteConnection(connectionString);
        SetUp(connection, mostPages);
        return connection;
    }

    /// <summary>Begins to write.</summary>
    /// <exception cref="StoreException">The file no longer lies where it was.</exception>
    public SqliteTransaction Begin(SqliteConnection connection)
    {
        ThrowIfGone(connection);
        return connection.BeginTransaction(deferred: false);
    }

    /// <summary>Ends writing; what was written is in the file then.</summary>
    /// <exception cref="StoreException">The file no longer lies where it was: nobody may be told that it was saved.</exception>
    public void Commit(SqliteTransaction transaction)
    {
        var connection = transaction.Connection!;
        transaction.Commit();
        ThrowIfGone(connection);
    }

    /// <summary>Closes every connection, so that the write-ahead log goes into the file: whoever copies it then has everything.</summary>
    public void Dispose()
    {
        using (var pooled = new SqliteConnection(connectionString))
            SqliteConnection.ClearPool(pooled);
        keeper.Dispose();
    }

    private void ThrowIfGone(SqliteConnection connection)
    {
        if (MovedFile.IsBehind(connection))
            throw new StoreException(Gone);
    }

    private SqliteConnection Copy()
    {
        var copy = new SqliteConnection("Data Source=:memory:");
        copy.Open();
        keeper.BackupDatabase(copy);
        return copy;
    }

    private string ConnectionString(SqliteOpenMode mode) =>
        new SqliteConnectionStringBuilder
        {
            DataSource = path,
            Mode = mode,
            ForeignKeys = true,
            DefaultTimeout = BusySeconds,
            // The limit belongs to a connection, which nobody else may get afterwards. The keeper must be nobody else's either.
            Pooling = mode == SqliteOpenMode.ReadWrite && mostPages == 0,
        }.ToString();

    private static void SetUp(SqliteConnection connection, long mostPages)
    {
        connection.Open();
        Execute(connection, "PRAGMA synchronous = FULL");
        if (mostPages > 0)
            Execute(connection, string.Create(CultureInfo.InvariantCulture, $"PRAGMA max_page_count = {mostPages}"));
    }

    /// <summary>What a database error means for the pilot, in a sentence that names the file.</summary>
    public string Explain(SqliteException error) => $"The data file {FileName}: {Meaning(error)}";

    private static string Meaning(SqliteException error) =>
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
