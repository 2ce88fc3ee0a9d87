using System.Globalization;
using System.Text.Json;
using Zephyros.Core.Evidence;
using Zephyros.Core.Setups.Json;

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
        where T : class
    {
        var now = clock.GetUtcNow();
        using var connection = database.Connect();
        using var transaction = database.Begin(connection);
        using var command = Rows.Command(
            connection,
            "INSERT INTO evidence (setup_id, kind, taken_at, record, basis) VALUES ($setup, $kind, $at, $record, $basis) RETURNING id",
            ("$setup", setupId),
            ("$kind", Word(kind)),
            ("$at", now.ToString("O", CultureInfo.InvariantCulture)),
            ("$record", JsonSerializer.Serialize(record, SetupJson.Options)),
            ("$basis", JsonSerializer.Serialize(basis, SetupJson.Options))
        );
        var id = Convert.ToInt64(command.ExecuteScalar(), CultureInfo.InvariantCulture);
        database.Commit(transaction);
        return new StoredEvidence<T>(id, now, record, basis);
    }

    /// <summary>The number of what was recorded last of a setup; 0 when nothing was, or the file is damaged there.</summary>
    public long Newest(string setupId)
    {
        using var connection = database.Connect();
        try
        {
            return Rows.Read(
                connection,
                "SELECT COALESCE(MAX(id), 0) FROM evidence WHERE setup_id = $setup",
                row => row.GetInt64(0),
                ("$setup", setupId)
            )[0];
        }
        catch (DamagedException)
        {
            return 0;
        }
    }

    /// <summary>What was recorded of a setup and can be read, the newest first.</summary>
    public IReadOnlyList<StoredEvidence<T>> List<T>(string setupId, EvidenceKind kind)
        where T : class =>
        [
            .. Find(
                "WHERE setup_id = $setup AND kind = $kind ORDER BY id DESC",
                ("$setup", setupId),
                ("$kind", Word(kind))
            )
                .Rows.Select(row => Stored<T>(row).Evidence)
                .OfType<StoredEvidence<T>>(),
        ];

    /// <summary>What was recorded of any setup and cannot be read, or is of a kind that this program does not know; the oldest first.</summary>
    public IReadOnlyList<UnreadableDocument> Unreadable()
    {
        var (rows, damage) = Find("ORDER BY id");
        var unreadable =
            from row in rows
            let reason = row.Kind switch
            {
                Bind => Stored<BindRecord>(row).Reason,
                Measurement => Stored<MeasurementRecord>(row).Reason,
                StoredWord or ReadBack or Tried => Stored<TickRecord>(row).Reason,
                _ => $"This program does not know evidence of the kind \"{row.Kind}\".",
            }
            where reason is not null
            select new UnreadableDocument(
                DocumentKind.Evidence,
                row.Id.ToString(CultureInfo.InvariantCulture),
                row.Setup,
                row.Kind,
                null,
                row.TakenAt,
                reason
            );
        return [.. unreadable, .. UnreadableDocument.Beyond(DocumentKind.Evidence, rows.Count, damage)];
    }

    /// <summary>A record with what it depends on, as both are stored; null when there is none of that number.</summary>
    public string? Text(long id) =>
        Find("WHERE id = $id", ("$id", id)).Rows is [var row] ? $"{row.Record}\n{row.Basis}\n" : null;

    private static (StoredEvidence<T>? Evidence, string? Reason) Stored<T>(Row row)
        where T : class
    {
        var (record, wrongRecord) = StoredJson.Read<T>(row.Record);
        var (basis, wrongBasis) = StoredJson.Read<BasisPart[]>(row.Basis);
        return record is null || basis is null
            ? (null, wrongRecord ?? wrongBasis)
            : (new StoredEvidence<T>(row.Id, row.TakenAt, record, basis), null);
    }

    private readonly record struct Row(
        long Id,
        string Setup,
        string Kind,
        DateTimeOffset TakenAt,
        string Record,
        string Basis
    );

    private (List<Row> Rows, DamagedException? Damage) Find(string which, params (string Name, object? Value)[] values)
    {
        using var connection = database.Connect();
        return Rows.ReadAsFar(
            connection,
            "SELECT id, setup_id, kind, taken_at, record, basis FROM evidence " + which,
            row => new Row(
                row.GetInt64(0),
                row.GetString(1),
                row.GetString(2),
                DateTimeOffset.Parse(row.GetString(3), CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind),
                row.GetString(4),
                row.GetString(5)
            ),
            values
        );
    }

    private const string Bind = "bind";
    private const string Measurement = "measurement";
    private const string StoredWord = "stored";
    private const string ReadBack = "read-back";
    private const string Tried = "tried";

    private static string Word(EvidenceKind kind) =>
        kind switch
        {
            EvidenceKind.Bind => Bind,
            EvidenceKind.Measurement => Measurement,
            EvidenceKind.Stored => StoredWord,
            EvidenceKind.ReadBack => ReadBack,
            EvidenceKind.Tried => Tried,
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };
}
