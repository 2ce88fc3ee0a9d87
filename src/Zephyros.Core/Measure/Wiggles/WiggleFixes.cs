using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>What to do about what a wiggle test has shown. The order is put right in one place only.</summary>
/// <remarks>Three places: transmitter, board, or the leads of a receiver with separate outputs; common practice, no source.</remarks>
public static class WiggleFixes
{
    /// <summary>The things to do, any one of each group; none while the arrival is not certain, or when it is right.</summary>
    public static IReadOnlyList<WiggleFix> Of(Setup setup, WiggleAnswer answer)
    {
        if (answer.Sticks.Any(s => s.Bar is null) || ChannelOrder.Of(setup.Model, setup.Transmitter) is not { } sent)
            return [];
        var bars = StickOrder.Of([.. answer.Sticks.Select(s => s.Bar!.Value)]);
        List<WiggleFix> fixes = [];
        var map = setup.Board.Map;
        if (WiggleSolver.MapFor(sent, bars) != map)
            fixes = [.. fixes, .. WriteDown(setup, answer)];
        else if (sent != map)
            // What was seen holds for the setup as it was, so directions go with the order.
            return [.. PutRight(setup, sent, map).Select(fix => WithDirections(setup, fix, answer))];
        foreach (var stick in answer.Sticks.Where(s => s.Reversed == true))
            if (TurnRound(setup, stick) is { } fix)
                fixes.Add(fix);
        return fixes;
    }

    private static WiggleFix WithDirections(Setup setup, WiggleFix fix, WiggleAnswer answer)
    {
        foreach (var stick in answer.Sticks.Where(s => s.Reversed == true))
            if (fix.Edit?.ApplyTo(setup).Setup is { } after && TurnRound(after, stick) is { Edit: { } turned } turn)
                fix = new(
                    $"{fix.Words} {turn.Words}",
                    SetupEdit.Between($"{fix.Edit.Title}; {turned.Title}", setup, turned.ApplyTo(after).Setup!)
                );
        return fix;
    }

    // The setup says something else than what was seen: one of its two sides is not as it is written.
    private static IEnumerable<WiggleFix> WriteDown(Setup setup, WiggleAnswer answer)
    {
        if (answer.SentOrder is { } order && ModelEdits.SendOrder(setup, order) is { } sends)
            yield return new(
                $"If the board's map is as written, the transmitter really sends {order.Spelled()}: write that down.",
                sends
            );
        if (answer.BoardMap is { } map)
            yield return new(
                $"If the transmitter sends as written, the board's map really is {map.Spelled()}: write that down.",
                BoardEdits.ReadOrder(setup, map)
            );
    }

    private static IEnumerable<WiggleFix> PutRight(Setup setup, StickOrder sent, StickOrder map)
    {
        if (ModelEdits.SendOrder(setup, map) is { } order)
            yield return new($"At the transmitter: send {map.Spelled()}.", order);
        yield return new($"At the board: set the map to {sent.Spelled()}.", BoardEdits.ReadOrder(setup, sent));
        if (setup.Wire.Format == WireFormat.SeparatePulses)
            yield return new(
                "At the receiver: "
                    + string.Join(
                        ", ",
                        Enumerable
                            .Range(1, Units.ChannelNumber.StickChannels)
                            .Select(n => (From: n, To: map.ChannelOf(sent.AxisOf(new(n))).Value))
                            .Where(m => m.From != m.To)
                            .Select(m => $"move the lead of output {m.From} to input {m.To}")
                    )
                    + ".",
                null
            );
    }

    private static WiggleFix? TurnRound(Setup setup, StickArrival stick)
    {
        var (id, channel) = setup.Model.Channels.FirstOrDefault(c =>
            ChannelOrder.StickOn(setup.Model, setup.Transmitter, c.Value.Number) == stick.Stick
        );
        if (channel is null)
            return null;
        var turned = channel.Output with { Reverse = !channel.Output.Reverse };
        var words = channel.Output.Reverse ? "runs straight again" : "is turned round";
        return new(
            $"At the transmitter: {stick.Stick.Word()} {words} in the output stage of {channel.Label}.",
            ModelEdits.SetOutput(setup, $"{channel.Label} {words}", id, turned)
        );
    }
}
