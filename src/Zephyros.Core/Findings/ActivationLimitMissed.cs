using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Two-stage arming whose raised low end does not pass the board's activation limit, or whose locked value does.</summary>
public sealed class ActivationLimitMissed : IFindingRule
{
    // So far apart the two stages must lie; one count of the wire is 0.6 us, a transmitter's step up to 5 us.
    [Figure(
        Station.Board,
        "The two stages of arming lie off the activation limit by",
        ProvenanceKind.OwnAssumption,
        Note = "one count of the wire and a transmitter's coarse step fit in"
    )]
    private static readonly Microseconds Margin = new(5);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (setup.Board.ActivationLimit is not { } limit)
            yield break;
        if (plan.ThrottleChannel is not { } throttle)
            yield break;
        var scale = setup.Transmitter.Scale;
        var low = scale.ToMicroseconds(throttle.Channel.Output.Low);
        if (low < limit + Margin)
            yield return LowEnd(setup, throttle.Id, throttle.Channel, low, limit);
        foreach (var (id, forced) in setup.Model.OverridesOf(throttle.Id))
        {
            var locked = scale.ToMicroseconds(Held(setup, throttle.Channel, forced.Value));
            if (locked > limit - Margin)
                yield return Locked(setup, id, forced, locked, limit);
        }
    }

    private static Percent Held(Setup setup, Channel channel, Percent value) =>
        setup.Transmitter.ForcedPastEnds ? value : value.AtLeast(channel.Output.Low).AtMost(channel.Output.High);

    private static Finding LowEnd(Setup setup, string id, Channel channel, Microseconds low, Microseconds limit)
    {
        var grid = setup.Transmitter.TravelStep.Value;
        var exact = setup.Transmitter.Scale.ToPercent(limit + Margin + Margin).Value;
        var raised = channel.Output with { Low = new Percent(Math.Round(Math.Ceiling(exact / grid) * grid, 6)) };
        return new Finding
        {
            Key = "activation-limit-missed:low-end",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/channels/{id}/output/low",
            Title = "The second stage does not activate the controller",
            What = $"Unlocked, throttle low sends {low} on the wire; the board becomes active above {limit}.",
            Why = "With the stick down the controller switches off in flight.",
            Provenance = Provenance.Practice("the low end is raised just over the board's activation limit"),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "raise",
                    $"Low end {raised.Low}: {setup.Transmitter.Scale.ToMicroseconds(raised.Low)} on the wire.",
                    ModelEdits.SetOutput(setup, "Raise the throttle's low end", id, raised)
                ),
            ],
        };
    }

    private static Finding Locked(Setup setup, string id, Override forced, Microseconds sent, Microseconds limit) =>
        new()
        {
            Key = $"activation-limit-missed:{id}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/overrides/{id}/value",
            Title = $"{forced.Label} does not hold the controller back",
            What = $"Locked, the throttle sends {sent} on the wire; the board becomes active above {limit}.",
            Why = "The first stage already activates the controller: a bump can make the craft leap.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "lower",
                    $"Forces {Percent.Low} instead.",
                    ModelEdits.InModel(
                        setup,
                        $"{forced.Label} forces {Percent.Low}",
                        m => m with { Overrides = m.Overrides.SetItem(id, forced with { Value = Percent.Low }) }
                    )
                ),
            ],
        };
}
