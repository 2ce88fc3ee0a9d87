namespace Zephyros.Storage;

/// <summary>A stored document that this program cannot read: damaged, or written by another version. It stays as it is.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Its id: of a setup, of a radio system, the number of evidence, or the name of the data file.</param>
/// <param name="Setup">The id of the setup that it is or belongs to; empty for anything that belongs to none.</param>
/// <param name="Name">What to call it, as far as that can be told.</param>
/// <param name="Revision">The revision of a setup; null for anything else.</param>
/// <param name="SavedAt">When it was saved, in UTC; null when that cannot be read either.</param>
/// <param name="Reason">Why it cannot be read, with the place.</param>
/// <param name="UndoTitle">The title of the edit of a setup that an undo takes back; null when there is none.</param>
public sealed record UnreadableDocument(
    DocumentKind Kind,
    string Id,
    string Setup,
    string Name,
    int? Revision,
    DateTimeOffset? SavedAt,
    string Reason,
    string? UndoTitle = null
)
{
    /// <summary>What lies behind the first place of a list that is damaged; nothing when no place is.</summary>
    internal static IEnumerable<UnreadableDocument> Beyond(DocumentKind kind, int read, DamagedException? damage) =>
        damage is null
            ? []
            :
            [
                new(
                    kind,
                    "",
                    "",
                    "",
                    null,
                    null,
                    $"After {read} that can be read the data file is damaged; how many more there were cannot be told."
                ),
            ];
}
