using Microsoft.Data.Sqlite;

namespace Zephyros.Storage;

/// <summary>Asks the data file for rows, and tells damage apart from the program's own faults.</summary>
internal static class Rows
{
    private const int Corrupt = 11;
    private const int NotADatabase = 26;

    /// <summary>The rows of a query.</summary>
    /// <exception cref="DamagedException">The file is damaged where they are.</exception>
    public static List<T> Read<T>(
        SqliteConnection connection,
        string sql,
        Func<SqliteDataReader, T> map,
        params (string Name, object? Value)[] values
    )
    {
        var (rows, damage) = ReadAsFar(connection, sql, map, values);
        return damage is null ? rows : throw damage;
    }

    /// <summary>The rows of a query up to the first that is damaged, and the damage when there is any.</summary>
    public static (List<T> Rows, DamagedException? Damage) ReadAsFar<T>(
        SqliteConnection connection,
        string sql,
        Func<SqliteDataReader, T> map,
        params (string Name, object? Value)[] values
    )
    {
        var rows = new List<T>();
        try
        {
            using var command = Command(connection, sql, values);
            using var reader = command.ExecuteReader();
            while (reader.Read())
                rows.Add(map(reader));
            return (rows, null);
        }
        catch (Exception error) when (IsDamage(error))
        {
            return (rows, new DamagedException(Path.GetFileName(connection.DataSource), error));
        }
    }

    /// <summary>A command with its values.</summary>
    public static SqliteCommand Command(
        SqliteConnection connection,
        string sql,
        params (string Name, object? Value)[] values
    )
    {
        var command = connection.CreateCommand();
#pragma warning disable CA2100 // Every text is a constant of a store; values are parameters.
        command.CommandText = sql;
#pragma warning restore CA2100
        foreach (var (name, value) in values)
            command.Parameters.AddWithValue(name, value ?? DBNull.Value);
        return command;
    }

    // Its pages, or a value that this program never wrote so: nothing, no number, no time.
    private static bool IsDamage(Exception error) =>
        error
            is SqliteException { SqliteErrorCode: Corrupt or NotADatabase }
                or FormatException
                or InvalidCastException
                or InvalidOperationException
                or ArgumentException
                or OverflowException;
}
