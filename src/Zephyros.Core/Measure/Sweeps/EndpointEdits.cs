using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>Puts endpoints right, in one place: what was put right elsewhere before is taken back.</summary>
public static class EndpointEdits
{
    /// <summary>The edit for a place.</summary>
    /// <param name="setup">The setup that was measured.</param>
    /// <param name="answer">What follows from the measurement.</param>
    /// <param name="place">Where it is put right.</param>
    public static SetupEdit At(Setup setup, EndpointAnswer answer, CorrectionPlace place)
    {
        var atTransmitter = place != CorrectionPlace.Board;
        var model = atTransmitter ? WithEnds(setup, answer) : setup.Model;
        var board = setup.Board with
        {
            Spans = place switch
            {
                CorrectionPlace.Board => Spans(answer, c => c.Span),
                CorrectionPlace.Both => Spans(answer, Left),
                CorrectionPlace.Transmitter => ImmutableDictionary<StickAxis, ChannelSpan>.Empty,
            },
            Centre = atTransmitter ? Microseconds.Neutral : answer.Centre ?? setup.Board.Centre,
            Deadband = answer.Deadband.Value > 0 ? answer.Deadband : setup.Board.Deadband,
            ThrottleLow = answer.ThrottleLow,
        };
        return SetupEdit.Between(
            place switch
            {
                CorrectionPlace.Board => "Spans at the board",
                CorrectionPlace.Transmitter => "Ends at the transmitter",
                CorrectionPlace.Both => "Ends at the transmitter, the rest at the board",
            },
            setup,
            setup with
            {
                Model = model,
                Board = board,
            }
        );
    }

    // What still arrives once the transmitter's ends are set.
    private static ChannelSpan Left(ChannelTravel channel) =>
        channel.Ends is { Arrives: var arrives }
            ? new ChannelSpan
            {
                Low = new Microseconds(Math.Round(arrives.Low.Value, MidpointRounding.AwayFromZero)),
                High = new Microseconds(Math.Round(arrives.High.Value, MidpointRounding.AwayFromZero)),
            }
            : channel.Span;

    private static ImmutableDictionary<StickAxis, ChannelSpan> Spans(
        EndpointAnswer answer,
        Func<ChannelTravel, ChannelSpan> span
    ) => answer.Channels.ToImmutableDictionary(c => c.Axis, span);

    private static TransmitterModel WithEnds(Setup setup, EndpointAnswer answer)
    {
        var channels = setup.Model.Channels;
        foreach (var (id, channel) in setup.Model.Channels)
            if (
                answer.Channels.FirstOrDefault(c => setup.Board.Map.ChannelOf(c.Axis) == channel.Number) is
                { Ends: { } ends }
            )
                channels = channels.SetItem(
                    id,
                    channel with
                    {
                        Output = channel.Output with { Low = ends.Low, Centre = ends.Centre, High = ends.High },
                    }
                );
        return setup.Model with { Channels = channels };
    }
}
