namespace Zephyros.Core.Work;

/// <summary>One step of setting up a craft, and how it stands.</summary>
/// <param name="Id">Its id, such as "power-on".</param>
/// <param name="Name">What to do, in a few words.</param>
/// <param name="Why">Why, in a sentence.</param>
/// <param name="Caution">What to mind while doing it; empty when nothing beyond the usual.</param>
/// <param name="ShownBy">How it is shown to be done.</param>
/// <param name="Place">Where it is done.</param>
/// <param name="State">How it stands.</param>
/// <param name="Stands">Why it stands so, in a sentence.</param>
/// <param name="Items">What is ticked by hand; empty for other steps.</param>
public sealed record WorkStep(
    string Id,
    string Name,
    string Why,
    string Caution,
    ShownBy ShownBy,
    WorkPlace Place,
    WorkState State,
    string Stands,
    IReadOnlyList<WorkItem> Items
)
{
    /// <summary>True while something is left to do about it.</summary>
    public bool IsOpen => State is WorkState.ToDo or WorkState.Stale or WorkState.Failed;
}
