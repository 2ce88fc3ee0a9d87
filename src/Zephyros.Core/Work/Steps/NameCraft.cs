namespace Zephyros.Core.Work.Steps;

/// <summary>The craft and its model have names that tell them from all others.</summary>
public sealed class NameCraft : WorkRule
{
    /// <inheritdoc />
    public override string Id => "name";

    /// <inheritdoc />
    public override int Order => 10;

    /// <inheritdoc />
    public override string Name => "Name the craft and its model";

    /// <inheritdoc />
    public override string Why => "The wrong model memory on the right craft is found out with the motors running.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Computed;

    /// <inheritdoc />
    public override WorkPlace Place => WorkPlace.Here;

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var (craft, stored) = (facts.Setup.Craft.Name, facts.Setup.Model.Name);
        var says = $"{craft}, stored as {stored}.";
        var wrong = facts.Findings.FirstOrDefault(f =>
            f.Justification is null && f.Place.StartsWith("/model/name", StringComparison.Ordinal)
        );
        if (wrong is not null)
            return (WorkState.Failed, $"{wrong.Title}.");
        // A copy that was not renamed is the usual way to two of a name.
        var (other, same) = facts.Others.FirstOrDefault(o =>
            string.Equals(o.Craft, craft, StringComparison.OrdinalIgnoreCase)
            || string.Equals(o.Stored, stored, StringComparison.OrdinalIgnoreCase)
        );
        return other is null ? (WorkState.Done, says)
            : string.Equals(other, craft, StringComparison.OrdinalIgnoreCase)
                ? (WorkState.Failed, $"Another craft is called {craft} too.")
            : (WorkState.Failed, $"{says} But {other} is stored as {same} too.");
    }
}
