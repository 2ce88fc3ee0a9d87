using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A stick makes its bar run the wrong way.</summary>
public sealed class StickReversed : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("stick-reversed", "{0} sticks run the wrong way", "Turn all {0} sticks round");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var stick in StickAxes.All)
        {
            if (SimulatedMeasurement.Wiggled(plan, stick) is not { Reversed: true } seen)
                continue;
            var channel = plan.ChannelAt(plan.Setup.Board.Map.ChannelOf(seen.Bar));
            // Turned round by a step or an override: only the pilot knows what is meant.
            if (channel is null || !channel.Channel.Output.Reverse)
                continue;
            yield return new Finding
            {
                Key = $"stick-reversed:{stick.Word()}",
                Severity = Severity.Danger,
                Station = Station.Model,
                Place = $"/model/channels/{channel.Id}/output/reverse",
                Title = $"{Capital(stick)} runs the wrong way",
                What = $"Moved {Way(stick)}, the bar of {seen.Bar.Word()} shrinks; it should grow.",
                Why =
                    stick == StickAxis.Throttle
                        ? "The craft gives full power with the stick down, and does not arm."
                        : "The craft turns against the stick, and nobody can fly it like that.",
                Provenance = Provenance.Practice("up, right and forward are larger"),
                MayBeJustified = false,
                Fixes =
                [
                    new(
                        "straight",
                        "The value leaves as it comes.",
                        ModelEdits.SetOutput(
                            plan.Setup,
                            $"{channel.Channel.Label} runs straight",
                            channel.Id,
                            channel.Channel.Output with
                            {
                                Reverse = false,
                            }
                        )
                    ),
                ],
            };
        }
    }

    private static string Way(StickAxis stick) =>
        stick switch
        {
            StickAxis.Throttle => "up",
            StickAxis.Pitch => "forward",
            StickAxis.Roll or StickAxis.Yaw => "to the right",
        };

    private static string Capital(StickAxis stick) => char.ToUpperInvariant(stick.Word()[0]) + stick.Word()[1..];
}
