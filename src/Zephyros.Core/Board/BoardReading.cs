using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board makes of the channel values of one good frame.</summary>
/// <param name="Throttle">What it takes for the throttle.</param>
/// <param name="ThrottleIsLow">True when that is below the throttle-low limit.</param>
/// <param name="ArmRequested">True when the arm function's channel is inside its band.</param>
public readonly record struct BoardReading(Microseconds Throttle, bool ThrottleIsLow, bool ArmRequested)
{
    /// <summary>Reads the values of a frame.</summary>
    /// <param name="board">The board's settings.</param>
    /// <param name="received">The value of each received channel, channel 1 first; at least the four stick channels.</param>
    public static BoardReading Of(FlightBoard board, ReadOnlySpan<Microseconds> received)
    {
        var throttle = received[board.Map.ChannelOf(StickAxis.Throttle).Value - 1];
        return new BoardReading(throttle, throttle.Value < board.ThrottleLow.Value, IsArmRequested(board, received));
    }

    private static bool IsArmRequested(FlightBoard board, ReadOnlySpan<Microseconds> received) =>
        board.Arm is { Value: var arm }
        && arm.Channel.Value <= received.Length
        && arm.Contains(received[arm.Channel.Value - 1]);
}
