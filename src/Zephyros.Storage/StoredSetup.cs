using Zephyros.Core.Setups;

namespace Zephyros.Storage;

/// <summary>A setup as it stands in the store at one revision.</summary>
/// <param name="Id">The setup's id.</param>
/// <param name="Revision">The revision.</param>
/// <param name="SavedAt">When that revision was saved, in UTC.</param>
/// <param name="Setup">The setup.</param>
/// <param name="UndoTitle">The title of the edit that an undo takes back; null when there is none.</param>
/// <param name="RedoTitle">The title of the edit that a redo brings back; null when there is none.</param>
public sealed record StoredSetup(
    string Id,
    int Revision,
    DateTimeOffset SavedAt,
    Setup Setup,
    string? UndoTitle,
    string? RedoTitle
);
