using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board makes of a good frame at this moment, for those who look at it.</summary>
/// <param name="Throttle">What it takes for the throttle.</param>
/// <param name="View">What it makes of all channels.</param>
/// <param name="Blocked">The first guard that is not satisfied; <see cref="ArmRefusal.None"/> when all are.</param>
/// <param name="Fix">True while it has a position fix.</param>
public readonly record struct BoardReading(Microseconds Throttle, BoardView View, ArmRefusal Blocked, bool Fix)
{
    /// <summary>Reads the values of a frame.</summary>
    /// <param name="plan">The board.</param>
    /// <param name="received">The value of each received channel, channel 1 first; at least the four stick channels.</param>
    /// <param name="surroundings">What the board knows besides.</param>
    /// <param name="calibrating">True until its sensors are calibrated.</param>
    public static BoardReading Of(
        BoardPlan plan,
        ReadOnlySpan<Microseconds> received,
        Surroundings surroundings,
        bool calibrating
    )
    {
        var view = plan.View(received);
        return new BoardReading(
            plan.Board.Scaled(StickAxis.Throttle, received[plan.Board.Map.ChannelOf(StickAxis.Throttle).Value - 1]),
            view,
            BoardGuards.FirstUnsatisfied(plan, view, surroundings, calibrating),
            surroundings.Fix
        );
    }
}
