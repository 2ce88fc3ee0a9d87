using System.Collections.Immutable;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A call of a timer never comes, because it begins beyond it, or one that counts down says nothing at all.</summary>
public sealed class TimerCallMissed : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, timer, _) in TimerFaults.Timers(plan))
        {
            var missed = timer.Calls.Where(c => timer.CountAt(c) <= TimeSpan.Zero).ToArray();
            if (missed.Length > 0)
                yield return ReturnCaution.Of(
                    $"timer-call-missed:{id}",
                    $"/model/timers/{id}/calls",
                    $"{timer.Label} passes some calls over",
                    timer.From is { } from
                        ? $"It counts down from {TimerWords.Clock(from)}, and a call at {string.Join(", ", missed.Select(TimerWords.Clock))} does not lie below that."
                        : "It counts up from 0:00, and a call at 0:00 never comes.",
                    "A call that is waited for and does not come is taken for time that is left.",
                    [
                        TimerFaults.Changing(
                            plan.Setup,
                            plan.Setup,
                            "calls",
                            "Takes the calls away that never come.",
                            $"{timer.Label} without calls that never come",
                            id,
                            timer with
                            {
                                Calls = Left(timer, missed),
                            }
                        ),
                    ]
                );
            else if (timer is { From: not null, Calls.IsEmpty: true })
                yield return ReturnCaution.Of(
                    $"timer-call-missed:{id}",
                    $"/model/timers/{id}/calls",
                    $"{timer.Label} ends unheard",
                    "It counts down and calls nothing out.",
                    "With both eyes on the craft or in the goggles nobody sees a display.",
                    [
                        TimerFaults.Changing(
                            plan.Setup,
                            plan.Setup,
                            "calls",
                            "Calls out its end.",
                            $"{timer.Label} calls out its end",
                            id,
                            timer with
                            {
                                Calls = [new(0)],
                            }
                        ),
                    ]
                );
        }
    }

    // A timer that counts down keeps its end at least.
    private static ImmutableArray<Milliseconds> Left(FlightTimer timer, IEnumerable<Milliseconds> missed) =>
        timer.Calls.RemoveRange(missed) is { IsEmpty: false } left ? left
        : timer.From is null ? []
        : [new(0)];
}
