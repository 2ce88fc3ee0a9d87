using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board makes of the channel values of one good frame and of its surroundings.</summary>
/// <param name="Throttle">What it takes for the throttle.</param>
/// <param name="ThrottleIsLow">True when that is below the throttle-low limit.</param>
/// <param name="ArmRequested">True when the arm function's channel is inside its band.</param>
/// <param name="Blocked">The first guard that is not satisfied; <see cref="ArmRefusal.None"/> when all are.</param>
/// <param name="StopWaits">True when the switch does not disarm at this moment: the throttle is up, and the board is of that school.</param>
/// <param name="Motors">What the motors do if the board is armed.</param>
public readonly record struct BoardReading(
    Microseconds Throttle,
    bool ThrottleIsLow,
    bool ArmRequested,
    ArmRefusal Blocked,
    bool StopWaits,
    MotorLevel Motors
)
{
    /// <summary>Reads the values of a frame.</summary>
    /// <param name="board">The board's settings.</param>
    /// <param name="received">The value of each received channel, channel 1 first; at least the four stick channels.</param>
    /// <param name="surroundings">What the board knows besides.</param>
    public static BoardReading Of(FlightBoard board, ReadOnlySpan<Microseconds> received, Surroundings surroundings)
    {
        var throttle = received[board.Map.ChannelOf(StickAxis.Throttle).Value - 1];
        var isLow = throttle.Value < board.ThrottleLow.Value;
        return new BoardReading(
            throttle,
            isLow,
            AnyActive(board, received, FunctionKind.Arm),
            FirstGuard(board, received, surroundings, isLow),
            board.Guards.DisarmsOnlyWhenLow && !isLow,
            Level(board, received, throttle, isLow)
        );
    }

    private static bool AnyActive(FlightBoard board, ReadOnlySpan<Microseconds> received, FunctionKind kind)
    {
        foreach (var function in board.Functions.Values)
            if (function.Kind == kind && function.IsActive(received))
                return true;
        return false;
    }

    // In the order in which a pilot puts them right: hands first, then the craft.
    private static ArmRefusal FirstGuard(
        FlightBoard board,
        ReadOnlySpan<Microseconds> received,
        Surroundings surroundings,
        bool throttleIsLow
    )
    {
        if (!throttleIsLow)
            return ArmRefusal.ThrottleNotLow;
        if (
            board.Functions.Values.Any(f => f.Kind == FunctionKind.ArmConsent)
            && !AnyActive(board, received, FunctionKind.ArmConsent)
        )
            return ArmRefusal.ConsentMissing;
        if (
            AnyActive(board, received, FunctionKind.AutomaticTrim)
            || AnyActive(board, received, FunctionKind.AutomaticTune)
        )
            return ArmRefusal.ConflictingFunction;
        if (board.Guards.TiltLimit is { } limit && surroundings.Tilt.Value > limit.Value)
            return ArmRefusal.Tilted;
        return board.Guards.RefusesConnected && surroundings is { Connected: true, Unlocked: false }
            ? ArmRefusal.Connected
            : ArmRefusal.None;
    }

    private static MotorLevel Level(
        FlightBoard board,
        ReadOnlySpan<Microseconds> received,
        Microseconds throttle,
        bool throttleIsLow
    )
    {
        if (board.ActivationLimit is { } limit ? throttle.Value > limit.Value : !throttleIsLow)
            return MotorLevel.Thrust;
        return AnyActive(board, received, FunctionKind.ZeroThrottleStabilisation)
            ? MotorLevel.IdleWithControl
            : MotorLevel.Idle;
    }
}
