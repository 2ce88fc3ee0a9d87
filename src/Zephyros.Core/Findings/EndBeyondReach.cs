using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>An endpoint lies beyond what the transmitter accepts or what the wire can carry, or between the steps of the transmitter.</summary>
public sealed class EndBeyondReach : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var travel = setup.Transmitter.TravelLimit.Value;
        var scale = setup.Transmitter.Scale;
        // Where the wire's own ends lie in percent; cut down to whole steps so that the fix stays inside.
        var lowest = scale.ToPercent(plan.Wire.ToMicroseconds(plan.Wire.SmallestCount)).Value;
        var highest = scale.ToPercent(plan.Wire.ToMicroseconds(plan.Wire.LargestCount)).Value;
        foreach (var (id, channel) in setup.Model.Channels)
        {
            var (low, high) = (channel.Output.Low.Value, channel.Output.High.Value);
            if (low < -travel || high > travel)
                yield return Beyond(
                    setup,
                    id,
                    channel,
                    -travel,
                    travel,
                    $"{setup.Transmitter.Name} accepts ends up to {Figures.Plain(travel)} %",
                    Station.Model
                );
            else if (low < lowest || high > highest)
                yield return Beyond(
                    setup,
                    id,
                    channel,
                    lowest,
                    highest,
                    $"{plan.Wire.Name} carries {new Percent(lowest)} to {new Percent(highest)} of this scale",
                    Station.Wire
                );
            else if (OffGrid(setup, channel.Output) is { } rounded)
                yield return Between(setup, id, channel, rounded);
        }
    }

    private static Finding Beyond(
        Setup setup,
        string id,
        Channel channel,
        double lowest,
        double highest,
        string limit,
        Station station
    )
    {
        var grid = setup.Transmitter.TravelStep.Value;
        var held = channel.Output with
        {
            Low = channel.Output.Low.AtLeast(new(Math.Round(Math.Ceiling(lowest / grid) * grid, 6))),
            High = channel.Output.High.AtMost(new(Math.Round(Math.Floor(highest / grid) * grid, 6))),
        };
        return new Finding
        {
            Key = $"end-beyond-reach:{id}",
            Severity = Severity.Danger,
            Station = station,
            Place = $"/model/channels/{id}/output",
            Title = $"The ends of {channel.Label} lie beyond reach",
            What = $"They are {channel.Output.Low} and {channel.Output.High}; {limit}.",
            Why = "What lies beyond is cut off: the control does nothing over the last part of its travel.",
            Provenance = Provenance.Memory("the range of the wire. The transmitter's limit is data of the transmitter"),
            MayBeJustified = false,
            Fixes =
            [
                new Fix(
                    "hold",
                    $"Ends {held.Low} and {held.High}.",
                    ModelEdits.SetOutput(setup, $"Ends of {channel.Label} within reach", id, held)
                ),
            ],
        };
    }

    private static OutputStage? OffGrid(Setup setup, OutputStage output)
    {
        var grid = setup.Transmitter.TravelStep.Value;
        Percent On(Percent value) => new(Math.Round(Math.Round(value.Value / grid) * grid, 6));
        var rounded = output with { Low = On(output.Low), Centre = On(output.Centre), High = On(output.High) };
        return rounded == output ? null : rounded;
    }

    // Those that are not on a step, with every digit that they have.
    private static string OffStep(OutputStage output, OutputStage rounded)
    {
        (Percent Is, Percent Near)[] values =
        [
            (output.Low, rounded.Low),
            (output.Centre, rounded.Centre),
            (output.High, rounded.High),
        ];
        string[] off = [.. values.Where(v => v.Is != v.Near).Select(v => $"{Figures.Signed(v.Is.Value, 6)} %")];
        return string.Join(" and ", off) + (off.Length == 1 ? " lies between" : " lie between");
    }

    private static Finding Between(Setup setup, string id, Channel channel, OutputStage rounded) =>
        new()
        {
            Key = $"end-off-step:{id}",
            Severity = Severity.Caution,
            Station = Station.Model,
            Place = $"/model/channels/{id}/output",
            Title = $"The ends of {channel.Label} cannot be typed in",
            What =
                $"{setup.Transmitter.Name} sets ends in steps of {Figures.Plain(setup.Transmitter.TravelStep.Value)} %; {OffStep(channel.Output, rounded)}.",
            Why = "The transmitter will hold another value than the one on this sheet.",
            Provenance = Provenance.Computed("the step is data of the transmitter"),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "round",
                    $"Takes the nearest steps: {rounded.Low}, {rounded.Centre} and {rounded.High}.",
                    ModelEdits.SetOutput(setup, $"Ends of {channel.Label} on whole steps", id, rounded)
                ),
            ],
        };
}
