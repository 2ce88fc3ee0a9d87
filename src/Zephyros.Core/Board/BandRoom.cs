using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>How far a value lies from the nearest edge of the bands on its channel, after what the channel may wander.</summary>
/// <param name="Function">The id of the function whose edge that is.</param>
/// <param name="Edge">The edge.</param>
/// <param name="Room">What is left: 0 or less when the value may cross the edge without anybody moving anything.</param>
public sealed record BandRoom(string Function, Microseconds Edge, Microseconds Room)
{
    /// <summary>Less than this is too little.</summary>
    [Figure(
        Station.Board,
        "Between a position and the edge of a band lie at least",
        ProvenanceKind.OwnAssumption,
        Note = "about what a switch wanders where nobody has measured it"
    )]
    public static readonly Microseconds Least = new(5);

    /// <summary>True when so little is left that the function may switch by itself.</summary>
    public bool TooNear => Room < Least;

    /// <summary>The room of a value; null when no band on its channel has an edge that a value can cross.</summary>
    /// <param name="board">The board.</param>
    /// <param name="channel">The channel.</param>
    /// <param name="value">What arrives.</param>
    public static BandRoom? Of(FlightBoard board, ChannelNumber channel, Microseconds value) =>
        board
            .Functions.Where(f => f.Value.Channel == channel)
            .OrderBy(f => f.Key, StringComparer.Ordinal)
            .SelectMany(f =>
                new[] { f.Value.Low, f.Value.High }
                    .Where(edge => edge > Bands.Lowest && edge < Bands.Highest)
                    .Select(edge => new BandRoom(f.Key, edge, value.ApartFrom(edge) - board.WanderOn(channel)))
            )
            .MinBy(r => r.Room.Value);
}
