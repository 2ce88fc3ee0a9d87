using System.Globalization;

namespace Zephyros.Storage;

/// <summary>What is in the data file and cannot be read, to be shown as such and taken away as it is.</summary>
public sealed class Salvage(SetupStore setups, EvidenceStore evidence, LinkProfileStore profiles)
{
    /// <summary>All of it, setups first.</summary>
    public IReadOnlyList<UnreadableDocument> List() =>
        [.. setups.Unreadable(), .. evidence.Unreadable(), .. profiles.Unreadable()];

    /// <summary>The text of a document as it is stored, readable or not; null when there is none.</summary>
    public string? Text(DocumentKind kind, string id) =>
        kind switch
        {
            DocumentKind.Setup => setups.Text(id),
            DocumentKind.Evidence => long.TryParse(id, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
                ? evidence.Text(number)
                : null,
            DocumentKind.LinkProfile => profiles.Text(id),
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };
}
