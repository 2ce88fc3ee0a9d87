using Microsoft.Data.Sqlite;

namespace Zephyros.Storage;

/// <summary>What the pilot says about setups besides editing them: which are put away, and what revisions are called.</summary>
public sealed partial class SetupStore
{
    /// <summary>The setups that can be read and were put away, by id.</summary>
    public IReadOnlyList<PutAwaySetup> PutAway() =>
        Each(
            (connection, id, head) =>
                AwaySince(connection, id) is { } at && Parse(id, head.Document).Setup is { } setup
                    ? new PutAwaySetup(id, setup.Craft.Name, at)
                    : null
        );

    /// <summary>Puts a setup away, or brings it back. Nothing of it is lost.</summary>
    /// <returns>False when there is none of that id.</returns>
    public bool Shelve(string id, bool away)
    {
        using var connection = database.Connect();
        using var transaction = database.Begin(connection);
        if (!Ids(connection).Contains(id, StringComparer.Ordinal))
            return false;
        if (AwaySince(connection, id) is not null != away)
            Write(
                connection,
                "INSERT INTO shelf (setup_id, away, at) VALUES ($id, $away, $at)",
                ("$id", id),
                ("$away", away ? 1 : 0),
                ("$at", Now())
            );
        database.Commit(transaction);
        return true;
    }

    /// <summary>Gives a revision a name of the pilot's; an empty one takes it back.</summary>
    /// <returns>False when there is no such revision.</returns>
    public bool Name(string id, int revision, string name)
    {
        using var connection = database.Connect();
        using var transaction = database.Begin(connection);
        if (!Exists(connection, id, revision))
            return false;
        Write(
            connection,
            "INSERT INTO revision_names (setup_id, number, name, at) VALUES ($id, $number, $name, $at)",
            ("$id", id),
            ("$number", revision),
            ("$name", name),
            ("$at", Now())
        );
        database.Commit(transaction);
        return true;
    }

    // When a setup was put away; null while it is not. Where that is damaged it is not: nothing is out of sight by damage.
    private static DateTimeOffset? AwaySince(SqliteConnection connection, string id)
    {
        try
        {
            return Rows.Read(
                    connection,
                    "SELECT away, at FROM shelf WHERE setup_id = $id ORDER BY id DESC LIMIT 1",
                    row => row.GetInt32(0) == 1 ? (DateTimeOffset?)Time(row.GetString(1)) : null,
                    ("$id", id)
                )
                .FirstOrDefault();
        }
        catch (DamagedException)
        {
            return null;
        }
    }

    private static bool Exists(SqliteConnection connection, string id, int revision) =>
        Rows.Read(
            connection,
            "SELECT 1 FROM revisions WHERE setup_id = $id AND number = $number",
            row => row.GetInt32(0),
            ("$id", id),
            ("$number", revision)
        ).Count > 0;
}
