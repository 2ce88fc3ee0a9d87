namespace Zephyros.Core.Work;

/// <summary>One thing of a step that is ticked by hand.</summary>
/// <param name="Id">Its id within the step.</param>
/// <param name="Do">What to do.</param>
/// <param name="Expected">What must come of it.</param>
/// <param name="State">How it stands.</param>
/// <param name="Changed">What is another since it was ticked; empty unless it is stale.</param>
/// <param name="Seen">What was seen, in the pilot's words.</param>
/// <param name="TakenAt">When it was ticked last; null when it never was.</param>
public sealed record WorkItem(
    string Id,
    string Do,
    string Expected,
    WorkState State,
    IReadOnlyList<string> Changed,
    string Seen,
    DateTimeOffset? TakenAt
);
