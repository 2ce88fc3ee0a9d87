using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>The receiver is bound, and what it was bound with is still so.</summary>
public sealed class BindReceiver : WorkRule
{
    /// <inheritdoc />
    public override string Id => "bind";

    /// <inheritdoc />
    public override int Order => 50;

    /// <inheritdoc />
    public override string Name => "Bind the receiver";

    /// <inheritdoc />
    public override string Why =>
        "Until then nothing arrives, and what the receiver does on a loss is set with the bind.";

    /// <inheritdoc />
    public override string Caution => "Propellers off.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Bound;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Air, "bind");

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items) =>
        facts.Binds switch
        {
            [] => (WorkState.ToDo, "No bind is recorded."),
            [{ Stands: false } last, ..] => (WorkState.Stale, $"Another since: {Listed(last.Changed)}."),
            [{ Record.WentAsExpected: false }, ..] => (
                WorkState.Failed,
                "In the last bind a step did not go as it should."
            ),
            _ => (WorkState.Done, "Bound, and nothing that it depends on is another."),
        };
}
