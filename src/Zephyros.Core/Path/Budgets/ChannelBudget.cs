using Zephyros.Core.Air;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Budgets;

/// <summary>Makes the table of channels: what is planned on each, and what survives the link.</summary>
public static class ChannelBudget
{
    /// <summary>A row for every channel that arrives or that something is planned on, in order.</summary>
    public static IReadOnlyList<BudgetRow> Of(SignalPlan plan)
    {
        var carried = SignalPlan.CarriedChannels(plan.Setup);
        var last = plan.Model.Channels.Select(c => c.Channel.Number.Value).Append(carried).Max();
        return [.. Enumerable.Range(1, last).Select(n => Row(plan, new ChannelNumber(n), n <= carried))];
    }

    /// <summary>The positions of a control that are sent apart on a channel and arrive alike, neighbour by neighbour, in words.</summary>
    public static IReadOnlyList<string> Merged(SignalPlan plan, string controlId, ChannelNumber number)
    {
        var cells = plan
            .Setup.Transmitter.Controls[controlId]
            .NamedPositions.Select(p => (p.Name, Values: plan.With(controlId, p.Setting)))
            .Select(c => (c.Name, Sent: c.Values.Sent[number.Value - 1], Got: c.Values.Received[number.Value - 1]))
            .ToArray();
        return
        [
            .. from pair in cells.Zip(cells.Skip(1))
            where pair.First.Sent != pair.Second.Sent && pair.First.Got == pair.Second.Got
            select $"{pair.First.Name} and {pair.Second.Name} both as {pair.First.Got}",
        ];
    }

    private static BudgetRow Row(SignalPlan plan, ChannelNumber number, bool arrives)
    {
        var setup = plan.Setup;
        var fed = plan.ChannelAt(number);
        var steps = setup.Air.StepsOn(number.Value);
        return new BudgetRow(
            number,
            fed?.Channel.Label ?? "",
            [
                .. setup
                    .Board.Functions.Values.Where(f => f.Channel == number)
                    .Select(f => f.Label)
                    .Order(StringComparer.Ordinal),
            ],
            arrives,
            steps,
            steps == LinkSteps.Full ? plan.Wire.Step : new Microseconds(Travel(setup.Transmitter.Scale) / (steps - 1)),
            arrives && steps != LinkSteps.Full && fed is not null ? Lost(plan, fed) : [],
            setup.Air.Receiver.QualityOn == number.Value
        );
    }

    private static string[] Lost(SignalPlan plan, PlannedChannel channel) =>
        [
            .. from control in plan.Model.Controls
            where channel.DependsOn(control.Key)
            from words in Merged(plan, control.Key, channel.Channel.Number)
            select $"{control.Value.Name}: {words}",
        ];

    private static double Travel(PulseScale scale) =>
        scale.ToMicroseconds(Percent.High).Value - scale.ToMicroseconds(Percent.Low).Value;
}
