using System.Globalization;
using System.Text.Json;
using Zephyros.Core.Procedure;
using Zephyros.Core.Setups;

namespace Zephyros.Storage;

/// <summary>Keeps evidence: what was done at the bench, with what it depends on. Append-only. Safe for use by several threads.</summary>
public sealed class EvidenceStore(Database database, TimeProvider clock)
{
    /// <summary>Records something.</summary>
    /// <param name="setupId">The id of a setup that is in the file.</param>
    /// <param name="kind">What it is.</param>
    /// <param name="record">What was done and seen.</param>
    /// <param name="basis">What it depends on.</param>
    public StoredEvidence<T> Add<T>(string setupId, EvidenceKind kind, T record, IReadOnlyList<BasisPart> basis)
    {
        var now = clock.GetUtcNow();
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText =
            "INSERT INTO evidence (setup_id, kind, taken_at, record, basis) VALUES ($setup, $kind, $at, $record, $basis) RETURNING id";
        command.Parameters.AddWithValue("$setup", setupId);
        command.Parameters.AddWithValue("$kind", Word(kind));
        command.Parameters.AddWithValue("$at", now.ToString("O", CultureInfo.InvariantCulture));
        command.Parameters.AddWithValue("$record", JsonSerializer.Serialize(record, SetupJson.Options));
        command.Parameters.AddWithValue("$basis", JsonSerializer.Serialize(basis, SetupJson.Options));
        var id = Convert.ToInt64(command.ExecuteScalar(), CultureInfo.InvariantCulture);
        return new StoredEvidence<T>(id, now, record, basis);
    }

    /// <summary>What was recorded of a setup, the newest first.</summary>
    public IReadOnlyList<StoredEvidence<T>> List<T>(string setupId, EvidenceKind kind)
    {
        using var connection = database.Connect();
        using var command = connection.CreateCommand();
        command.CommandText =
            "SELECT id, taken_at, record, basis FROM evidence WHERE setup_id = $setup AND kind = $kind ORDER BY id DESC";
        command.Parameters.AddWithValue("$setup", setupId);
        command.Parameters.AddWithValue("$kind", Word(kind));
        using var rows = command.ExecuteReader();
        var found = new List<StoredEvidence<T>>();
        while (rows.Read())
            found.Add(
                new StoredEvidence<T>(
                    rows.GetInt64(0),
                    DateTimeOffset.Parse(rows.GetString(1), CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind),
                    JsonSerializer.Deserialize<T>(rows.GetString(2), SetupJson.Options)!,
                    JsonSerializer.Deserialize<BasisPart[]>(rows.GetString(3), SetupJson.Options)!
                )
            );
        return found;
    }

    private static string Word(EvidenceKind kind) => kind == EvidenceKind.Bind ? "bind" : "measurement";
}
