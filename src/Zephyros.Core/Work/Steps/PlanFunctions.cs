using Zephyros.Core.Findings;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>The board has its functions, each on a control that reaches it, and nothing about them is wrong.</summary>
public sealed class PlanFunctions : WorkRule
{
    /// <inheritdoc />
    public override string Id => "functions";

    /// <inheritdoc />
    public override int Order => 95;

    /// <inheritdoc />
    public override string Name => "Plan arming and the other functions";

    /// <inheritdoc />
    public override string Why => "What a switch does is decided here, from the arm switch to the beeper.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Computed;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Board, "settings");

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var board = facts.Setup.Board;
        if (board.Arm is null)
            return (WorkState.ToDo, "Nothing arms this craft yet.");
        var wrong = facts
            .Findings.Where(f =>
                f is { Severity: Severity.Danger, Justification: null, Station: Station.Model or Station.Board }
            )
            .ToArray();
        var count = board.Functions.Count;
        return wrong.Length > 0
            ? (WorkState.Failed, $"{wrong[0].Title}{(wrong.Length > 1 ? $", and {wrong.Length - 1} more" : "")}.")
            : (WorkState.Done, count == 1 ? "The arm function is planned." : $"{count} functions are planned.");
    }
}
