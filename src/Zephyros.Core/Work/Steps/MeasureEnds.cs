using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>Ends and centres were measured, and the throttle comes low enough to arm.</summary>
public sealed class MeasureEnds : WorkRule
{
    [Figure(Station.Board, "A stick that is let go turns the craft noticeably from", ProvenanceKind.OwnAssumption)]
    private static readonly DegreesPerSecond Drifts = new(1);

    /// <inheritdoc />
    public override string Id => "ends";

    /// <inheritdoc />
    public override int Order => 70;

    /// <inheritdoc />
    public override string Name => "Measure ends and centres";

    /// <inheritdoc />
    public override string Why =>
        "Half a travel, a centre that drifts and a throttle that is never low show only in what arrives.";

    /// <inheritdoc />
    public override string Caution => "Propellers off.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Measured;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Board, "measure");

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var newest = facts.Real.FirstOrDefault(m => !m.Record.Sweeps.IsEmpty);
        if (newest is null)
            return (WorkState.ToDo, Measuring.NoneYet(facts, m => !m.Sweeps.IsEmpty));
        if (!newest.Stands)
            return (WorkState.Stale, $"Another since: {Listed(newest.Changed)}.");
        var sweeps = newest.Record.Sweeps.ToDictionary(s => StickAxes.All.First(a => a.Word() == s.Key), s => s.Value);
        string[] missing = [.. StickAxes.All.Where(a => !sweeps.ContainsKey(a)).Select(a => a.Word())];
        if (missing.Length > 0)
            return (WorkState.ToDo, $"Not measured yet: {Listed(missing)}.");
        if (EndpointSolver.Problems(sweeps) is [var problem, ..])
            return (WorkState.Failed, problem.Reason);
        var answer = EndpointSolver.Solve(facts.Setup, sweeps);
        if (answer.ThrottleLost.Value <= 0)
            return (
                WorkState.Failed,
                $"The throttle never comes below {facts.Setup.Board.ThrottleLow}, so the board never arms."
            );
        string[] drifting =
        [
            .. answer.Channels.Where(c => Math.Abs(c.Before.Drift.Value) > Drifts.Value).Select(c => c.Axis.Word()),
        ];
        return drifting.Length > 0
            ? (WorkState.Failed, $"With the stick let go, {Listed(drifting)} still turns.")
            : (WorkState.Done, "Every stick comes to both ends and rests where the board has its centre.");
    }
}
