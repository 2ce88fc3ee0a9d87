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
        [.. Rows().Select(r => StoredJson.Read<LinkProfile>(r.Document).Value).OfType<LinkProfile>()];

    /// <summary>Those that cannot be read, by id.</summary>
    public IReadOnlyList<UnreadableDocument> Unreadable() =>
        [
            .. from row in Rows()
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
            ),
        ];

    /// <summary>The text of a profile as it is stored; null when there is none of that id.</summary>
    public string? Text(string id) => Rows().Find(r => r.Id == id).Document;

    private List<(string Id, string Document, DateTimeOffset SavedAt)> Rows()
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT id, document, saved_at FROM link_profiles ORDER BY id";
        using var rows = command.ExecuteReader();
        var found = new List<(string, string, DateTimeOffset)>();
        while (rows.Read())
            found.Add(
                (
                    rows.GetString(0),
                    rows.GetString(1),
                    DateTimeOffset.Parse(rows.GetString(2), CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind)
                )
            );
        return found;
    }

    /// <summary>Keeps a profile; one of the same id is replaced.</summary>
    public void Put(LinkProfile profile)
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText =
            "INSERT INTO link_profiles (id, document, saved_at) VALUES ($id, $document, $at) "
            + "ON CONFLICT (id) DO UPDATE SET document = excluded.document, saved_at = excluded.saved_at";
        command.Parameters.AddWithValue("$id", profile.Id);
        command.Parameters.AddWithValue("$document", JsonSerializer.Serialize(profile, SetupJson.Options));
        command.Parameters.AddWithValue("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture));
        command.ExecuteNonQuery();
    }

    /// <summary>Forgets a profile. Setups that were made from it keep their settings.</summary>
    /// <returns>False when there is none of that id.</returns>
    public bool Remove(string id)
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText = "DELETE FROM link_profiles WHERE id = $id";
        command.Parameters.AddWithValue("$id", id);
        return command.ExecuteNonQuery() > 0;
    }
}
