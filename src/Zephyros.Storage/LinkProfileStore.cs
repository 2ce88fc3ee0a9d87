using System.Globalization;
using System.Text.Json;
using Zephyros.Core.Air;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Storage;

/// <summary>Keeps radio systems that pilots have written down themselves. Safe for use by several threads.</summary>
public sealed class LinkProfileStore(Database database, TimeProvider clock)
{
    /// <summary>All that can be read, by id.</summary>
    public IReadOnlyList<LinkProfile> List() =>
        [.. Find().Rows.Select(r => StoredJson.Read<LinkProfile>(r.Document).Value).OfType<LinkProfile>()];

    /// <summary>Those that cannot be read, by id.</summary>
    public IReadOnlyList<UnreadableDocument> Unreadable()
    {
        var (rows, damage) = Find();
        var unreadable =
            from row in rows
            let reason = StoredJson.Read<LinkProfile>(row.Document).Reason
            where reason is not null
            select new UnreadableDocument(
                DocumentKind.LinkProfile,
                row.Id,
                "",
                StoredJson.Name(row.Document, row.Id, "name"),
                null,
                row.SavedAt,
                reason
            );
        return [.. unreadable, .. UnreadableDocument.Beyond(DocumentKind.LinkProfile, rows.Count, damage)];
    }

    /// <summary>The text of a profile as it is stored; null when there is none of that id.</summary>
    public string? Text(string id) => Find().Rows.Find(r => r.Id == id).Document;

    private (List<(string Id, string Document, DateTimeOffset SavedAt)> Rows, DamagedException? Damage) Find()
    {
        using var connection = database.Connect();
        return Rows.ReadAsFar(
            connection,
            "SELECT id, document, saved_at FROM link_profiles ORDER BY id",
            row =>
                (
                    row.GetString(0),
                    row.GetString(1),
                    DateTimeOffset.Parse(row.GetString(2), CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind)
                )
        );
    }

    /// <summary>Keeps a profile; one of the same id is replaced.</summary>
    public void Put(LinkProfile profile) =>
        Write(
            "INSERT INTO link_profiles (id, document, saved_at) VALUES ($id, $document, $at) "
                + "ON CONFLICT (id) DO UPDATE SET document = excluded.document, saved_at = excluded.saved_at",
            ("$id", profile.Id),
            ("$document", JsonSerializer.Serialize(profile, SetupJson.Options)),
            ("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture))
        );

    /// <summary>Forgets a profile. Setups that were made from it keep their settings.</summary>
    /// <returns>False when there is none of that id.</returns>
    public bool Remove(string id) => Write("DELETE FROM link_profiles WHERE id = $id", ("$id", id)) > 0;

    private int Write(string sql, params (string Name, object? Value)[] values)
    {
        using var connection = database.Connect();
        using var transaction = database.Begin(connection);
        using var command = Rows.Command(connection, sql, values);
        var changed = command.ExecuteNonQuery();
        database.Commit(transaction);
        return changed;
    }
}
