using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>On a transmitter whose ends hold forced values too, an override forces a value beyond an end.</summary>
public sealed class ForcedValueHeld : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (setup.Transmitter.ForcedPastEnds)
            yield break;
        foreach (var (id, forced) in setup.Model.Overrides)
        {
            var channel = setup.Model.Channels[forced.Channel];
            var (low, high) = (channel.Output.Low, channel.Output.High);
            var held = forced.Value.AtLeast(low).AtMost(high);
            if (held == forced.Value)
                continue;
            var wider = channel.Output with { Low = low.AtMost(forced.Value), High = high.AtLeast(forced.Value) };
            yield return new Finding
            {
                Key = $"forced-value-held:{id}",
                Severity = Severity.Danger,
                Station = Station.Model,
                Place = $"/model/overrides/{id}/value",
                Title = $"{forced.Label} sends {held} instead of {forced.Value}",
                What =
                    $"{setup.Transmitter.Name} holds forced values within the ends; those of {channel.Label} are {low} and {high}.",
                Why = "A lock that is lifted by the low end no longer holds the motors at their lowest.",
                Provenance = Provenance.Practice("a forced -100 % must stay below a low end that was raised"),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "widen",
                        $"Widens the ends of {channel.Label} to {wider.Low} and {wider.High}; the low end is then no longer raised.",
                        ModelEdits.SetOutput(
                            setup,
                            $"Ends of {channel.Label} let {forced.Label} pass",
                            forced.Channel,
                            wider
                        )
                    ),
                ],
            };
        }
    }
}
