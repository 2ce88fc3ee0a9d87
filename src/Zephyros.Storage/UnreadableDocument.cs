namespace Zephyros.Storage;

/// <summary>A stored document that this program cannot read: damaged, or written by another version. It stays as it is.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Its id: of a setup, of a radio system, or the number of evidence.</param>
/// <param name="Setup">The id of the setup that it is or belongs to; empty for a radio system.</param>
/// <param name="Name">What to call it, as far as that can be told.</param>
/// <param name="Revision">The revision of a setup; null for anything else.</param>
/// <param name="SavedAt">When it was saved, in UTC.</param>
/// <param name="Reason">Why it cannot be read, with the place.</param>
/// <param name="UndoTitle">The title of the edit of a setup that an undo takes back; null when there is none.</param>
public sealed record UnreadableDocument(
    DocumentKind Kind,
    string Id,
    string Setup,
    string Name,
    int? Revision,
    DateTimeOffset SavedAt,
    string Reason,
    string? UndoTitle = null
);
