using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>Nothing starts a timer.</summary>
public sealed class TimerNeverStarts : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from timer in TimerFaults.Timers(plan)
        where timer.Timer.While is null
        select ReturnCaution.Of(
            $"timer-never-starts:{timer.Id}",
            $"/model/timers/{timer.Id}/while",
            $"{timer.Timer.Label} never starts",
            "No condition starts it: it shows the same for ever.",
            "A pilot who looks at it believes that no time has passed.",
            []
        );
}
