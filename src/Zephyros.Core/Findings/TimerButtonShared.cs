using Zephyros.Core.Model;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>The button that resets a timer does something else as well.</summary>
public sealed class TimerButtonShared : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var graph = plan.Model.Graph;
        foreach (var (id, timer, _) in TimerFaults.Timers(plan))
        {
            if (timer.Reset is not { Enabled: true, When: var when })
                continue;
            var behind = graph.Behind(new ModelNode(NodeKind.Condition, when));
            foreach (var (control, button) in plan.Setup.Transmitter.Listed.Where(c => c.Value is Hands.ButtonControl))
            {
                if (!behind.Contains(new ModelNode(NodeKind.Control, control)))
                    continue;
                var others = plan
                    .Model.Channels.Where(c => c.DependsOn(control))
                    .Select(c => $"channel {c.Channel.Label}")
                    .ToArray();
                if (others.Length > 0)
                    yield return ReturnCaution.Of(
                        $"timer-button-shared:{id}-{control}",
                        $"/model/timers/{id}/reset/when",
                        $"{button.Name} resets {timer.Label} and works {others[0]}",
                        $"The button is also behind {string.Join(", ", others)}.",
                        "Held to reset the timer it does the other thing too; pressed for the other thing in flight it may reset the timer.",
                        []
                    );
            }
        }
    }
}
