namespace Zephyros.Core.Board;

/// <summary>The board's arming automaton: pure steps from one state to the next. Bench, findings and proof use the same one.</summary>
/// <remarks>The guards follow job.md 9 and proof.md "Board": a rising request with all guards satisfied arms; a refusal stands
/// until the request was seen off; power-up and a lost signal ask for the same; request off disarms at once, or, in the
/// other school, only with the throttle low.</remarks>
public static class BoardMachine
{
    /// <summary>The battery is connected: disarmed, no signal yet, and the arm switch must be seen off before it counts.</summary>
    public static BoardState PowerUp() => new(Powered: true, false, false, false, ArmRefusal.SwitchOnAtPowerUp);

    /// <summary>Good frames have been missing for too long: the motors stop, and the arm switch must be seen off before it counts.</summary>
    public static BoardState LoseSignal(BoardState state) =>
        state.HasSignal
            ? state with
            {
                HasSignal = false,
                Armed = false,
                ArmRequested = false,
                Standing = ArmRefusal.SwitchOnAtSignalReturn,
            }
            : state;

    /// <summary>A good frame arrived.</summary>
    /// <param name="state">The state before.</param>
    /// <param name="reading">What the board makes of the frame.</param>
    /// <returns>The state after. A board without power stays as it is.</returns>
    public static BoardState Receive(BoardState state, BoardReading reading)
    {
        if (!state.Powered)
            return state;
        var seen = state with { HasSignal = true, ArmRequested = reading.ArmRequested };
        if (!reading.ArmRequested)
            return seen with { Armed = state.Armed && reading.StopWaits, Standing = ArmRefusal.None };
        if (state.Armed || state.Standing != ArmRefusal.None)
            return seen;
        return seen with { Armed = reading.Blocked == ArmRefusal.None, Standing = reading.Blocked };
    }
}
