using Zephyros.Core.Hands;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Timers;

/// <summary>Tries a timer on one flight, with its battery unplugged at the end: when it counts, and what resets it.</summary>
/// <remarks>Only what a pilot does in every flight is tried; that nothing at all resets it in flight is for the proof to say.</remarks>
public static class TimerTrial
{
    // Well up, whatever a model calls raised.
    private const double Raised = 0;

    /// <summary>What it does at each event, in their order; null when no position of a switch arms.</summary>
    public static IReadOnlyList<TimerMoment>? Of(SignalPlan plan, FlightTimer timer)
    {
        if (Arming(plan) is not { } arm)
            return null;
        var throttle = plan.Setup.Transmitter.StickOf(StickAxis.Throttle);
        var values = plan.CreateValues();
        var moments = new List<TimerMoment>();
        var held = false;
        foreach (var happens in Enum.GetValues<TimerEvent>())
        {
            switch (happens)
            {
                case TimerEvent.AtRest:
                    Put(plan, values, arm.Control, arm.Off[0]);
                    Put(plan, values, throttle, Percent.Low.Value);
                    values.TelemetryLost = !plan.Setup.Air.Telemetry;
                    break;
                case TimerEvent.SwitchOn:
                    Put(plan, values, arm.Control, arm.On[0]);
                    break;
                case TimerEvent.ThrottleUp:
                    Put(plan, values, throttle, Raised);
                    break;
                case TimerEvent.ThrottleLow:
                    Put(plan, values, throttle, Percent.Low.Value);
                    break;
                case TimerEvent.SwitchOff:
                    Put(plan, values, arm.Control, arm.Off[0]);
                    break;
                case TimerEvent.TelemetryLost or TimerEvent.Unplugged:
                    values.TelemetryLost = true;
                    break;
                case TimerEvent.TelemetryBack or TimerEvent.PluggedIn:
                    values.TelemetryLost = !plan.Setup.Air.Telemetry;
                    break;
                default:
                    throw new ArgumentOutOfRangeException(nameof(plan));
            }

            var resets = false;
            foreach (var elapsed in new[] { TimeSpan.Zero, TimeSpan.MaxValue })
            {
                plan.Evaluate(values, elapsed);
                var holds = timer.Reset is { Enabled: true, When: var when } && plan.Model.Holds(values.Memory, when);
                resets |= holds && !held;
                held = holds;
            }

            moments.Add(
                new TimerMoment(
                    happens,
                    timer.While is { } condition && plan.Model.Holds(values.Memory, condition),
                    // At switch-on there is nothing to be lost.
                    resets && happens != TimerEvent.AtRest
                )
            );
        }

        return moments;
    }

    /// <summary>What happens at an event, in words.</summary>
    public static string Words(TimerEvent happens) =>
        happens switch
        {
            TimerEvent.AtRest => "Disarmed, telemetry comes",
            TimerEvent.SwitchOn => "Arm switch on, throttle low",
            TimerEvent.ThrottleUp => "Throttle raised",
            TimerEvent.ThrottleLow => "Throttle low again",
            TimerEvent.TelemetryLost => "Telemetry lost in flight",
            TimerEvent.TelemetryBack => "Telemetry back in flight",
            TimerEvent.SwitchOff => "Arm switch off",
            TimerEvent.Unplugged => "Battery unplugged: telemetry lost",
            TimerEvent.PluggedIn => "Next battery: telemetry back",
        };

    /// <summary>The switch that is meant to arm, the positions with which the transmitter asks the board to, reached from one that does not
    /// with the throttle low, and the others; where none does, those that are planned. Null when there are not both.</summary>
    public static (string Control, IReadOnlyList<double> On, IReadOnlyList<double> Off)? Arming(SignalPlan plan)
    {
        if (plan.Setup.Board.Arm is not { Value: { Control: var control, Planned: var planned } })
            return null;
        double[] all = [.. plan.Setup.Transmitter.Controls[control].NamedPositions.Select(p => p.Setting)];
        var safe = all.Where(s => !Asks(plan, control, [s])).ToArray();
        // A latch lets a switch arm that has stood elsewhere before.
        double[] on = safe.Length == 0 ? [] : [.. all.Where(s => s != safe[0] && Asks(plan, control, [safe[0], s]))];
        if (on.Length == 0)
            on = [.. all.Where(s => planned.Contains((int)s))];
        return on.Length == 0 || on.Length == all.Length ? null : (control, on, [.. all.Except(on)]);
    }

    private static bool Asks(SignalPlan plan, string control, IEnumerable<double> settings)
    {
        var values = plan.CreateValues();
        Put(plan, values, plan.Setup.Transmitter.StickOf(StickAxis.Throttle), Percent.Low.Value);
        foreach (var setting in settings)
        {
            Put(plan, values, control, setting);
            plan.Settle(values);
        }

        return plan.Board.View(values.Received).Has(plan.Board.ArmBits);
    }

    private static void Put(SignalPlan plan, SignalValues values, string? control, double setting)
    {
        if (control is null)
            return;
        var index = plan.Model.IndexOf(control);
        values.Hands[index] = plan.Model.Controls[index].Value.Read(setting)!.Value;
    }
}
