using Zephyros.Core.Path;
using Zephyros.Core.Path.Timers;

namespace Zephyros.Core.Findings;

/// <summary>Something resets a timer in the flight or before its battery is unplugged.</summary>
public sealed class TimerResetTooSoon : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, timer, flight) in TimerFaults.Timers(plan))
        {
            if (flight?.Where(m => m.ResetsTooSoon).Select(m => m.Event).ToArray() is not { Length: > 0 } events)
                continue;
            var inFlight = events.Any(e => e is >= TimerEvent.SwitchOn and < TimerEvent.SwitchOff);
            var at = string.Join("; ", events.Select(e => TimerTrial.Words(e).ToLowerInvariant()));
            yield return ReturnCaution.Of(
                $"timer-reset-too-soon:{id}",
                $"/model/timers/{id}/reset/when",
                inFlight ? $"{timer.Label} is reset in flight" : $"Disarming alone resets {timer.Label}",
                $"“{plan.Setup.Model.Conditions[timer.Reset!.When].Label}” begins to hold: {at}.",
                inFlight
                    ? "A gap in telemetry, or a switch, takes the time that was flown away, and the calls come too late."
                    : "Disarmed after a short landing and armed again on the same battery, it counts as if that were full.",
                TimerFaults.ResetUnplugged(plan, id)
            ) with
            {
                Severity = inFlight ? Severity.Danger : Severity.Caution,
            };
        }
    }
}
