using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>Measures the simulated transmitter and board as a pilot measures the real ones: one stick at a time, the bars read off.</summary>
public static class SimulatedMeasurement
{
    // Far enough that no deadband or rounding hides it.
    private const double Wiggle = 40;

    // Less than this is no answer.
    private const double Still = 2;

    /// <summary>Everything: a stick that no bar answers, and a bar that no stick moves, are left out.</summary>
    public static BoardReadings Readings(SignalPlan plan) =>
        new(
            [.. StickAxes.All.Select(a => Wiggled(plan, a)).OfType<WiggleSeen>()],
            StickAxes
                .All.Select(a => (Axis: a, Sweep: Swept(plan, a)))
                .Where(s => s.Sweep is not null)
                .ToDictionary(s => s.Axis.Word(), s => s.Sweep!, StringComparer.Ordinal),
            Positions(plan)
        );

    /// <summary>What is seen when one stick is moved up, right or forward; null when no bar, or more than one, answers.</summary>
    public static WiggleSeen? Wiggled(SignalPlan plan, StickAxis stick)
    {
        if (plan.Setup.Transmitter.StickOf(stick) is not { } control)
            return null;
        var (rest, moved) = (plan.With(control, -Wiggle), plan.With(control, Wiggle));
        StickAxis[] bars =
        [
            .. StickAxes.All.Where(b => Math.Abs(Bar(plan, moved, b).Value - Bar(plan, rest, b).Value) > Still),
        ];
        return bars is [var bar]
            ? new WiggleSeen
            {
                Moved = stick,
                Bar = bar,
                Reversed = Bar(plan, moved, bar).Value < Bar(plan, rest, bar).Value,
            }
            : null;
    }

    /// <summary>What the board shows of an axis while the stick that moves it is swept; null when none does.</summary>
    public static Sweep? Swept(SignalPlan plan, StickAxis axis)
    {
        // Of several sticks that move the bar it is its own, where that does.
        var stick = StickAxes
            .All.Where(s => Wiggled(plan, s)?.Bar == axis)
            .OrderByDescending(s => s == axis)
            .Select(plan.Setup.Transmitter.StickOf)
            .FirstOrDefault();
        if (stick is null)
            return null;
        // A board shows whole microseconds.
        double At(double setting) => Math.Round(Bar(plan, plan.With(stick, setting), axis).Value);
        var (one, other) = (At(-100), At(100));
        return new Sweep
        {
            Low = new Microseconds(Math.Min(one, other)),
            Centre = new Microseconds(At(0)),
            High = new Microseconds(Math.Max(one, other)),
        };
    }

    /// <summary>What the board shows of every position of every switch and button that can be measured.</summary>
    public static IReadOnlyList<PositionSeen> Positions(SignalPlan plan) =>
        [
            .. from row in MeasuredRows.Of(plan)
            from cell in row.Cells
            select new PositionSeen
            {
                Control = row.Control,
                Setting = (int)cell.Setting,
                Channel = row.Channel,
                Value = new Microseconds(Math.Round(cell.Received.Value)),
            },
        ];

    private static Microseconds Bar(SignalPlan plan, SignalValues values, StickAxis axis) =>
        plan.Setup.Board.Scaled(axis, values.Received[plan.Setup.Board.Map.ChannelOf(axis).Value - 1]);
}
