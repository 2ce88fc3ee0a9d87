namespace Zephyros.Storage;

/// <summary>One line of a setup's history.</summary>
/// <param name="Number">The revision, 1 and up.</param>
/// <param name="Kind">How it came about.</param>
/// <param name="Title">What was done, in words.</param>
/// <param name="Shows">The revision whose document it shows: itself, or an earlier one after undo and redo.</param>
/// <param name="SavedAt">When, in UTC.</param>
/// <param name="Name">What the pilot calls it, such as "as flown"; empty when nothing.</param>
public sealed record RevisionEntry(
    int Number,
    RevisionKind Kind,
    string Title,
    int Shows,
    DateTimeOffset SavedAt,
    string Name
);
