using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>Nothing resets a timer, or its reset is not enabled.</summary>
public sealed class TimerNeverReset : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, timer, _) in TimerFaults.Timers(plan))
        {
            if (timer.Reset is { Enabled: true })
                continue;
            var fixes = timer.Reset is { } reset
                ?
                [
                    TimerFaults.Changing(
                        plan.Setup,
                        plan.Setup,
                        "enable",
                        "Enables the reset.",
                        $"The reset of {timer.Label} enabled",
                        id,
                        timer with
                        {
                            Reset = reset with { Enabled = true },
                        }
                    ),
                ]
                : TimerFaults.ResetUnplugged(plan, id);
            yield return ReturnCaution.Of(
                $"timer-never-reset:{id}",
                $"/model/timers/{id}/reset",
                $"Nothing resets {timer.Label}",
                timer.Reset is null ? "No condition resets it." : "Its reset is defined, but its tick is missing.",
                "On the next battery it goes on where it was, and calls out at the wrong time, or never.",
                fixes
            );
        }
    }
}
