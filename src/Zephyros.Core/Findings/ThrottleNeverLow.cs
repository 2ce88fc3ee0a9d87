using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The throttle stick at its low end does not get below the board's throttle-low limit.</summary>
public sealed class ThrottleNeverLow : IFindingRule
{
    [Figure(
        Station.Board,
        "A board takes the throttle for low up to, above the low end",
        ProvenanceKind.CommonPractice,
        Unit = "µs"
    )]
    private const double Above = 10;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var number = setup.Board.Map.ChannelOf(StickAxis.Throttle);
        // With another order the throttle arrives elsewhere; that is the order's finding.
        if (ChannelOrder.StickOn(setup.Model, setup.Transmitter, number) != StickAxis.Throttle)
            yield break;
        var lowest = setup.Board.Scaled(
            StickAxis.Throttle,
            plan.With(setup.Transmitter.StickOf(StickAxis.Throttle)!, -100).Received[number.Value - 1]
        );
        if (lowest < setup.Board.ThrottleLow)
            yield break;
        var limit = new Microseconds(Math.Ceiling(lowest.Value + Above));
        var fixes =
            limit <= Microseconds.Neutral
                ?
                [
                    new Fix(
                        "limit",
                        "Puts the limit 10 µs above the low end.",
                        BoardEdits.LimitThrottleLow(setup, limit)
                    ),
                ]
                : Array.Empty<Fix>();
        yield return new Finding
        {
            Key = "throttle-never-low",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = "/board/throttleLow",
            Title = "The board never sees the throttle low",
            What =
                $"With the stick down {lowest} arrives; the board takes only values below {setup.Board.ThrottleLow} for low.",
            Why = "The board refuses to arm, whatever the pilot does.",
            Provenance = Provenance.Practice("the limit lies about 10 µs above the low end"),
            MayBeJustified = false,
            Fixes = fixes,
        };
    }
}
