using Zephyros.Core.Units;

namespace Zephyros.Core.Work;

/// <summary>One thing of a step that is ticked by hand.</summary>
/// <param name="Id">Its id within the step.</param>
/// <param name="Do">What to do.</param>
/// <param name="Expected">What must come of it.</param>
/// <param name="State">How it stands.</param>
/// <param name="Changed">What is another since it was ticked; empty unless it is stale.</param>
/// <param name="Seen">What was seen, in the pilot's words.</param>
/// <param name="TakenAt">When it was ticked last; null when it never was.</param>
/// <param name="Within">When it must come at the latest, after what was done; null where no time counts.</param>
/// <param name="After">When it was seen, after what was done; null where nobody took the time.</param>
/// <param name="Optional">True for what takes more than every pilot has: the step is done without it.</param>
public sealed record WorkItem(
    string Id,
    string Do,
    string Expected,
    WorkState State,
    IReadOnlyList<string> Changed,
    string Seen,
    DateTimeOffset? TakenAt,
    Milliseconds? Within = null,
    Milliseconds? After = null,
    bool Optional = false
);
