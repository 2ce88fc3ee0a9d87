using Zephyros.Core.Craft;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The transmitter sends the sticks in one order, the board reads them in another.</summary>
public sealed class ChannelOrderMismatch : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (ChannelOrder.Of(setup.Model, setup.Transmitter) is not { } sent || sent == setup.Board.Map)
            yield break;
        var map = setup.Board.Map;
        var strays = StickAxes.All.Where(axis => map.AxisOf(sent.ChannelOf(axis)) != axis).ToArray();
        var worst = strays.Contains(StickAxis.Throttle) ? StickAxis.Throttle : strays[0];
        var arrivesAs = map.AxisOf(sent.ChannelOf(worst));
        yield return new Finding
        {
            Key = "channel-order",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = "/board/map",
            Title = $"{Capital(worst.Word())} arrives as {arrivesAs.Word()}",
            What = $"The transmitter sends {sent.Spelled()}, the board reads {map.Spelled()}.",
            Why = Consequence(plan, sent, worst, arrivesAs),
            Provenance = Provenance.Practice("transmitter order and board map must say the same"),
            MayBeJustified = false,
            Fixes =
            [
                new Fix(
                    "transmitter",
                    $"Renumbers channels 1 to 4 in the transmitter. Every other board on this model must then read {map.Spelled()} too.",
                    ModelEdits.SendOrder(setup, map)!
                ),
                new Fix(
                    "board",
                    "Changes the board's map. The transmitter stays as it is.",
                    BoardEdits.ReadOrder(setup, sent)
                ),
            ],
        };
    }

    private static string Consequence(SignalPlan plan, StickOrder sent, StickAxis worst, StickAxis arrivesAs)
    {
        var setup = plan.Setup;
        if (worst != StickAxis.Throttle)
        {
            var pushed = plan.With(setup.Transmitter.StickOf(worst)!, 100).Received[sent.ChannelOf(worst).Value - 1];
            return $"With the {worst.Word()} stick fully over, the craft would {CraftResponse.Describe(setup.Board, arrivesAs, setup.Board.Scaled(arrivesAs, pushed))}.";
        }

        var resting = plan.With(setup.Transmitter.StickOf(StickAxis.Throttle)!, -100).Received;
        var down = CraftResponse.Describe(
            setup.Board,
            arrivesAs,
            setup.Board.Scaled(arrivesAs, resting[sent.ChannelOf(worst).Value - 1])
        );
        var throttleChannel = setup.Board.Map.ChannelOf(StickAxis.Throttle);
        var reading = setup.Board.Scaled(StickAxis.Throttle, resting[throttleChannel.Value - 1]);
        var source = sent.AxisOf(throttleChannel).Word();
        var arming = reading < setup.Board.ThrottleLow ? "and arms on it" : "and will not arm";
        return $"With the throttle down the craft would {down}. The board takes the {source} stick for the throttle: "
            + $"it reads {reading} at rest {arming}.";
    }

    private static string Capital(string word) => char.ToUpperInvariant(word[0]) + word[1..];
}
