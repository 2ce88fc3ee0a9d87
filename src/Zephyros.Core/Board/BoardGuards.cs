using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>The guards of arming, asked one after the other.</summary>
public static class BoardGuards
{
    // After a crash.
    [Figure(Station.Board, "A craft lies on its back from a tilt of", ProvenanceKind.OwnAssumption, Unit = "°")]
    private const double UpsideDown = 90;

    /// <summary>The first guard that is not satisfied, in the order in which a pilot puts them right: hands first, then the craft.</summary>
    /// <param name="plan">The board.</param>
    /// <param name="view">What the board reads from the frame.</param>
    /// <param name="surroundings">What it knows besides.</param>
    /// <param name="calibrating">True until its sensors are calibrated.</param>
    /// <returns><see cref="ArmRefusal.None"/> when all are satisfied.</returns>
    public static ArmRefusal FirstUnsatisfied(
        BoardPlan plan,
        BoardView view,
        Surroundings surroundings,
        bool calibrating
    )
    {
        var guards = plan.Board.Guards;
        if (guards.RefusesThrottle && !view.Has(BoardView.LowBit))
            return ArmRefusal.ThrottleNotLow;
        if (plan.ConsentBits != 0 && !view.Has(plan.ConsentBits))
            return ArmRefusal.ConsentMissing;
        if (view.Has(plan.ConflictBits))
            return ArmRefusal.ConflictingFunction;
        if (view.Has(plan.LossBits))
            return ArmRefusal.LossProcedureOn;
        if (guards.TiltLimit is { } limit && surroundings.Tilt > limit && !Rights(plan, view, surroundings))
            return ArmRefusal.Tilted;
        if (guards.RefusesConnected && surroundings is { Connected: true, Unlocked: false })
            return ArmRefusal.Connected;
        return calibrating ? ArmRefusal.Calibrating : ArmRefusal.None;
    }

    /// <summary>True when the craft lies on its back and the pilot asks to turn it over; the tilt guard is waived then.</summary>
    public static bool Rights(BoardPlan plan, BoardView view, Surroundings surroundings) =>
        view.Has(plan.SelfRightBits) && surroundings.Tilt.Value > UpsideDown;
}
