using Zephyros.Core.Hands;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Timers;
using Zephyros.Core.ReadyMade;

namespace Zephyros.Core.Findings;

/// <summary>A timer counts though the motors stand still: by the bare arm switch, which the board may refuse, or disarmed.</summary>
public sealed class TimerStartsUnarmed : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, timer, flight) in TimerFaults.Timers(plan))
        {
            if (flight is null)
                continue;
            bool Counts(TimerEvent at) => flight[(int)at].Counts;
            var condition = timer.While is { } when ? plan.Setup.Model.Conditions[when].Label : "";
            if (Counts(TimerEvent.AtRest) || Counts(TimerEvent.SwitchOff))
                yield return ReturnCaution.Of(
                    $"timer-starts-unarmed:{id}",
                    $"/model/timers/{id}/while",
                    $"{timer.Label} counts while disarmed",
                    $"“{condition}” holds {(Counts(TimerEvent.AtRest) ? "before the arm switch goes on" : "after the arm switch went off")}.",
                    "It shows more than was flown, and calls out while nothing flies.",
                    []
                );
            else if (Counts(TimerEvent.SwitchOn))
                yield return ReturnCaution.Of(
                    $"timer-starts-unarmed:{id}",
                    $"/model/timers/{id}/while",
                    $"The bare switch starts {timer.Label}",
                    $"“{condition}” holds as soon as the arm switch is on, with the throttle low.",
                    "When the board refuses to arm it counts all the same. Let it wait for the first raised throttle.",
                    Fixes(plan, id, timer)
                );
        }
    }

    private static IReadOnlyList<Fix> Fixes(SignalPlan plan, string id, FlightTimer timer)
    {
        if (TimerFaults.Arming(plan) is not { } arm || plan.Setup.Transmitter.StickOf(StickAxis.Throttle) is null)
            return [];
        var work = new Workshop(plan.Setup);
        var counts = TimerChain.InTheAir(work, arm);
        return
        [
            TimerFaults.Changing(
                plan.Setup,
                work.Setup,
                "raised",
                "It waits for the first raised throttle, with the switch put on at low throttle.",
                $"{timer.Label} starts with the first raised throttle",
                id,
                timer with
                {
                    While = counts,
                }
            ),
        ];
    }
}
