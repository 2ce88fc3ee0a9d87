using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Two positions of a control leave the transmitter different and arrive alike, because the link has too few steps there.</summary>
public sealed class LinkStepsTooFew : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var channel in plan.Model.Channels)
        {
            var number = channel.Channel.Number;
            var steps = plan.Setup.Air.StepsOn(number.Value);
            if (steps == LinkSteps.Full || number.Value > SignalPlan.CarriedChannels(plan.Setup))
                continue;
            foreach (var (id, control) in plan.Model.Controls.Where(c => channel.DependsOn(c.Key)))
                if (ChannelBudget.Merged(plan, id, number) is { Count: > 0 } merged)
                    yield return Lost(plan, channel, id, control, steps, merged);
        }
    }

    private static Finding Lost(
        SignalPlan plan,
        PlannedChannel channel,
        string id,
        Control control,
        int steps,
        IReadOnlyList<string> merged
    )
    {
        var number = channel.Channel.Number;
        return new Finding
        {
            Key = $"link-steps-too-few:{channel.Id}:{id}",
            Severity = Severity.Danger,
            Station = Station.Air,
            Place = $"/model/channels/{channel.Id}/number",
            Title = $"{control.Name} loses positions on {number}",
            What = $"The link gives this channel {steps} steps. What arrives: {string.Join("; ", merged)}.",
            Why = "What is meant for one position happens in the other as well, or never.",
            Provenance = Provenance.Practice("some links carry few steps on auxiliary channels"),
            MayBeJustified = true,
            Fixes = [.. Roomier(plan, channel, control)],
        };
    }

    // The free channels that have a step for every position, the lowest first; what the board watches moves along.
    private static IEnumerable<Fix> Roomier(SignalPlan plan, PlannedChannel channel, Control control)
    {
        var setup = plan.Setup;
        var taken = setup.Model.Channels.Values.Select(c => c.Number.Value).ToHashSet();
        var free = Enumerable
            .Range(1, SignalPlan.CarriedChannels(setup))
            .Where(n => new ChannelNumber(n).Aux is not null && !taken.Contains(n))
            .Where(n => setup.Board.Functions.Values.All(f => f.Channel.Value != n))
            .Where(n =>
                setup.Air.StepsOn(n) is var s
                && (s == LinkSteps.Full || (s - 1) % (control.NamedPositions.Count - 1) == 0)
            );
        foreach (var number in free.Take(2).Select(n => new ChannelNumber(n)))
            yield return new Fix(
                $"channel-{number.Value}",
                $"{number} has a step for each position; what the board watches goes along.",
                ModelEdits.MoveChannel(setup, channel.Id, number)
            );
    }
}
