using Zephyros.Core.Evidence;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>Each stick was wiggled, and the bar of its name answered in the right direction.</summary>
public sealed class MeasureOrder : WorkRule
{
    /// <inheritdoc />
    public override string Id => "order";

    /// <inheritdoc />
    public override int Order => 60;

    /// <inheritdoc />
    public override string Name => "Measure order and directions";

    /// <inheritdoc />
    public override string Why =>
        "A stick that moves another bar, or the right one backwards, flips the craft on take-off.";

    /// <inheritdoc />
    public override string Caution => "Propellers off.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Measured;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Board, "measure");

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var newest = facts.Real.FirstOrDefault(m => !m.Record.Wiggles.IsEmpty);
        if (newest is null)
            return (WorkState.ToDo, Measuring.NoneYet(facts, m => !m.Wiggles.IsEmpty));
        if (!newest.Stands)
            return (WorkState.Stale, $"Another since: {Listed(newest.Changed)}.");
        return Judge(facts, newest.Record);
    }

    private static (WorkState State, string Stands) Judge(WorkFacts facts, MeasurementRecord record)
    {
        var setup = facts.Setup;
        var answer = WiggleSolver.Solve(
            record.Wiggles,
            ChannelOrder.Of(setup.Model, setup.Transmitter),
            setup.Board.Map
        );
        if (answer.Possible == 0)
            return (WorkState.Failed, "What was seen contradicts itself.");
        string[] wrong =
        [
            .. answer
                .Sticks.Where(s => s.Bar is { } bar && bar != s.Stick)
                .Select(s => $"{s.Stick.Word()} moved the bar of {s.Bar!.Value.Word()}"),
            .. answer.Sticks.Where(s => s.Reversed == true).Select(s => $"{s.Stick.Word()} runs the wrong way"),
        ];
        if (wrong.Length > 0)
            return (WorkState.Failed, $"As measured, {Listed(wrong)}.");
        string[] open = [.. answer.Sticks.Where(s => s.Bar is null || s.Reversed is null).Select(s => s.Stick.Word())];
        return open.Length > 0
            ? (WorkState.ToDo, $"Not certain yet: {Listed(open)}.")
            : (WorkState.Done, "Every stick moves the bar of its name, the right way.");
    }
}
