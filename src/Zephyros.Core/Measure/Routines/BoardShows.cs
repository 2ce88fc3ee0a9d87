using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>What a board shows of a frame.</summary>
/// <param name="Bars">The bar of each axis, after the board has scaled it.</param>
/// <param name="Channels">The value of each channel as it arrives, channel 1 first.</param>
public sealed record BoardShows(IReadOnlyDictionary<StickAxis, Microseconds> Bars, IReadOnlyList<Microseconds> Channels)
{
    /// <summary>What a board shows of a frame with at least the four stick channels.</summary>
    public static BoardShows Of(FlightBoard board, IReadOnlyList<Microseconds> received) =>
        new(
            StickAxes.All.ToDictionary(
                axis => axis,
                axis => board.Scaled(axis, received[board.Map.ChannelOf(axis).Value - 1])
            ),
            received
        );
}
