using Zephyros.Core.Setups;
using Zephyros.Storage;

namespace Zephyros.Web.Contracts;

/// <summary>A setup at one revision.</summary>
/// <param name="Id">The setup's id.</param>
/// <param name="Revision">The revision; send it as If-Match with a change.</param>
/// <param name="SavedAt">When it was saved, in UTC (RFC 3339).</param>
/// <param name="UndoTitle">The edit that an undo takes back; null when there is none.</param>
/// <param name="RedoTitle">The edit that a redo brings back; null when there is none.</param>
/// <param name="Setup">The document.</param>
public sealed record SetupDocument(
    string Id,
    int Revision,
    DateTimeOffset SavedAt,
    string? UndoTitle,
    string? RedoTitle,
    Setup Setup
)
{
    /// <summary>The contract of a stored setup.</summary>
    public static SetupDocument Of(StoredSetup stored) =>
        new(stored.Id, stored.Revision, stored.SavedAt, stored.UndoTitle, stored.RedoTitle, stored.Setup);
}
