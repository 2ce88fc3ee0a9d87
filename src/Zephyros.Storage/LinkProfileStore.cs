using System.Globalization;
using System.Text.Json;
using Zephyros.Core.Air;
using Zephyros.Core.Setups;

namespace Zephyros.Storage;

/// <summary>Keeps radio systems that pilots have written down themselves. Safe for use by several threads.</summary>
public sealed class LinkProfileStore(Database database, TimeProvider clock)
{
    /// <summary>All of them, by id.</summary>
    public IReadOnlyList<LinkProfile> List()
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT document FROM link_profiles ORDER BY id";
        using var rows = command.ExecuteReader();
        var profiles = new List<LinkProfile>();
        while (rows.Read())
            profiles.Add(JsonSerializer.Deserialize<LinkProfile>(rows.GetString(0), SetupJson.Options)!);
        return profiles;
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
