using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A channel takes its value from the flight state, and one state has none there.</summary>
public sealed class StateCellForgotten : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from channel in plan.Setup.Model.Channels
        from step in channel.Value.Steps
        where step.Value is StateStep
        from state in plan.Setup.Model.StatesByPriority()
        where !((StateStep)step.Value).Values.ContainsKey(state.Key)
        select Of(plan.Setup, channel.Key, step.Key, state.Key);

    private static Finding Of(Setup setup, string channelId, string stepId, string stateId)
    {
        var channel = setup.Model.Channels[channelId];
        var step = (StateStep)channel.Steps[stepId];
        var state = setup.Model.States[stateId].Label;
        return new Finding
        {
            Key = $"state-cell-forgotten:{channelId}:{stepId}:{stateId}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/channels/{channelId}/steps/{stepId}/values",
            Title = $"{channel.Label} has no value for {state}",
            What =
                $"Channel {channel.Number.Value} has a value in {step.Values.Count} of {setup.Model.States.Count} flight states; in {state} the control's own value passes.",
            Why = "A board that reads several channels together then sees a combination that nobody meant.",
            Provenance = Provenance.Practice("a forgotten cell is the usual fault"),
            MayBeJustified = true,
            Fixes =
            [
                .. setup
                    .Model.StatesByPriority()
                    .Where(s => step.Values.ContainsKey(s.Key))
                    .Select(s => new Fix(
                        $"as-{s.Key}",
                        $"Sends there what {s.Value.Label} sends.",
                        ModelEdits.InModel(
                            setup,
                            $"{channel.Label} in {state} as in {s.Value.Label}",
                            m =>
                                m with
                                {
                                    Channels = m.Channels.SetItem(channelId, Filled(channel, stepId, stateId, s.Key)),
                                }
                        )
                    )),
            ],
        };
    }

    private static Channel Filled(Channel channel, string stepId, string stateId, string like)
    {
        var step = (StateStep)channel.Steps[stepId];
        var filled = step with { Values = step.Values.SetItem(stateId, step.Values[like]) };
        return channel with { Steps = channel.Steps.SetItem(stepId, filled) };
    }
}
