using System.Globalization;

namespace Zephyros.Storage;

/// <summary>What is in the data file and cannot be read, to be shown as such and taken away as it is.</summary>
public sealed class Salvage(Database database, SetupStore setups, EvidenceStore evidence, LinkProfileStore profiles)
{
    /// <summary>All of it: the file itself when it is damaged, then setups first.</summary>
    public IReadOnlyList<UnreadableDocument> List() =>
        [.. OfFile(), .. setups.Unreadable(), .. evidence.Unreadable(), .. profiles.Unreadable()];

    /// <summary>The text of a document as it is stored, readable or not; null when there is none.</summary>
    public string? Text(DocumentKind kind, string id) =>
        kind switch
        {
            DocumentKind.Setup => setups.Text(id),
            DocumentKind.Evidence => long.TryParse(id, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
                ? evidence.Text(number)
                : null,
            DocumentKind.LinkProfile => profiles.Text(id),
            DocumentKind.DataFile => null,
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };

    private UnreadableDocument[] OfFile() =>
        database switch
        {
            { IsGone: true } => [OfFile(database.Gone)],
            { Damaged: { } damage } =>
            [
                OfFile(
                    $"Pages of the data file {database.FileName} are damaged ({damage}). Export every craft that still opens, end the program, put the file aside, and restore a copy or load what you exported."
                ),
            ],
            _ => [],
        };

    private UnreadableDocument OfFile(string reason) =>
        new(DocumentKind.DataFile, database.FileName, "", database.FileName, null, null, reason);
}
