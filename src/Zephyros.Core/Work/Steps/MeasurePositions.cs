using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>Every position of every switch was measured, and switches on what is planned.</summary>
public sealed class MeasurePositions : WorkRule
{
    /// <inheritdoc />
    public override string Id => "positions";

    /// <inheritdoc />
    public override int Order => 80;

    /// <inheritdoc />
    public override string Name => "Measure the switch positions";

    /// <inheritdoc />
    public override string Why => "A position that lies at the edge of a band switches by itself.";

    /// <inheritdoc />
    public override string Caution => "Propellers off.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Measured;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Board, "measure");

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var wanted = MeasuredRows
            .Of(facts.Plan)
            .SelectMany(r => r.Cells.Select(c => (r.Control, Setting: (int)c.Setting, r.Channel)))
            .ToHashSet();
        if (wanted.Count == 0)
            return (WorkState.NotNeeded, "No switch has a channel of its own.");
        // The newest of each position counts.
        var seen = facts
            .Real.SelectMany(m => m.Record.Positions.Select(p => (Kept: m, Seen: p)))
            .Where(s => wanted.Contains((s.Seen.Control, s.Seen.Setting, s.Seen.Channel)))
            .DistinctBy(s => (s.Seen.Control, s.Seen.Setting, s.Seen.Channel))
            .ToArray();
        if (seen.Length == 0)
            return (WorkState.ToDo, Measuring.NoneYet(facts, m => !m.Positions.IsEmpty));
        if (seen.Where(s => !s.Kept.Stands).SelectMany(s => s.Kept.Changed).ToArray() is { Length: > 0 } changed)
            return (WorkState.Stale, $"Another since: {Listed(changed)}.");
        PositionSeen[] all = [.. seen.Select(s => s.Seen)];
        if (PositionSolver.Problems(facts.Setup, all) is [var problem, ..])
            return (WorkState.Failed, problem.Reason);
        string[] wrong =
        [
            .. PositionSolver.Solve(facts.Plan, all).Positions.Where(p => !p.AsPlanned).Select(p => p.Name),
        ];
        if (wrong.Length > 0)
            return (WorkState.Failed, $"Not as planned: {Listed(wrong)}.");
        return seen.Length < wanted.Count
            ? (WorkState.ToDo, $"{seen.Length} of {wanted.Count} positions are measured.")
            : (WorkState.Done, $"All {wanted.Count} positions switch on what is planned.");
    }
}
