using Zephyros.Core.Findings;
using Zephyros.Core.Fixes;
using Zephyros.Core.Units;

namespace Zephyros.Core.Verdicts;

/// <summary>One thing that a verdict tells: a finding, several findings of one cause, a promise, or several that are not decided for one
/// reason.</summary>
/// <param name="Key">The key of the finding, or made of the code of a cause or of a promise; unique within a verdict.</param>
/// <param name="Level">How much it matters.</param>
/// <param name="Title">The entry in a few words.</param>
/// <param name="Station">Where on the path it shows; null for a promise, which speaks of all of it.</param>
/// <param name="Findings">The findings that it tells; empty for promises.</param>
/// <param name="FixAll">What puts all of several findings right at once; null when nothing does, or there is only one.</param>
/// <param name="Promises">The codes of the promises that it tells; empty for findings.</param>
/// <param name="Reason">What the proof says of the promise, in a sentence; empty for findings, which say it themselves.</param>
/// <param name="Steps">How many steps the sequence has that breaks the promise; 0 when there is none.</param>
/// <param name="Fixes">What was proven to keep the promises, the best first; empty while that is not known, and for findings.</param>
/// <param name="CausedBy">The key of the entry of findings whose fix keeps the promises too; null when there is none.</param>
public sealed record VerdictEntry(
    string Key,
    VerdictLevel Level,
    string Title,
    Station? Station,
    IReadOnlyList<Finding> Findings,
    Fix? FixAll,
    IReadOnlyList<string> Promises,
    string Reason,
    int Steps,
    IReadOnlyList<ProvenFix> Fixes,
    string? CausedBy
)
{
    /// <summary>An entry of findings.</summary>
    internal static VerdictEntry Of(
        string key,
        VerdictLevel level,
        string title,
        IReadOnlyList<Finding> findings,
        Fix? fixAll = null
    ) => new(key, level, title, findings[0].Station, findings, fixAll, [], "", 0, [], null);

    /// <summary>An entry of promises.</summary>
    internal static VerdictEntry Of(
        VerdictLevel level,
        string title,
        IReadOnlyList<string> promises,
        string reason,
        int steps = 0
    ) => new($"promise:{promises[0]}", level, title, null, [], null, promises, reason, steps, [], null);
}
