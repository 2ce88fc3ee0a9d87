namespace Zephyros.Core.Board;

/// <summary>The board's automaton: pure steps from one state to the next. Bench, proof and export use the same one.</summary>
/// <remarks>A rising request with all guards satisfied arms; a refusal
/// stands until the request was seen off; power-up, a lost signal and a stop by the board itself ask for the same; request off
/// disarms at once, or, in the other school, only with the throttle low. That self-righting leaves the motors idle until the
/// throttle is seen low, and that a board that cannot find home comes down, are our own assumptions.</remarks>
public static class BoardMachine
{
    /// <summary>The battery is connected: disarmed, no signal yet, and the arm switch must be seen off before it counts.</summary>
    public static BoardState PowerUp(BoardPlan plan) =>
        new(true, BoardSignal.None, false, false, ArmRefusal.SwitchOnAtPowerUp, MotorLevel.Off)
        {
            Calibrating = plan.Board.Guards.Calibration is { Value: > 0 },
        };

    /// <summary>A good frame arrived.</summary>
    /// <param name="plan">The board.</param>
    /// <param name="state">The state before.</param>
    /// <param name="view">What the board reads from the frame.</param>
    /// <param name="surroundings">What it knows besides.</param>
    /// <returns>The state after. A board without power stays as it is.</returns>
    public static BoardState Receive(BoardPlan plan, BoardState state, BoardView view, Surroundings surroundings)
    {
        if (!state.Powered)
            return state;
        var next = state with
        {
            Signal = Resume(plan, state, view),
            ArmRequested = view.Has(plan.ArmBits),
            ThrottleLow = view.Has(BoardView.LowBit),
        };
        next = Arm(plan, next, view, surroundings);
        if (next is { Armed: true, Signal: BoardSignal.Good } && view.Has(plan.LossBits))
            return Procedure(plan, next, surroundings.Fix, BoardSignal.Good, ArmRefusal.StoppedByItself);
        return Drive(plan, next, view);
    }

    /// <summary>True while a timer of the board runs.</summary>
    public static bool Runs(BoardPlan plan, BoardState state, BoardTimer timer) =>
        state.Powered
        && timer switch
        {
            BoardTimer.FramesMissing => state.Signal == BoardSignal.Good,
            BoardTimer.Grace => state.Signal == BoardSignal.Grace,
            BoardTimer.Landing => state.Signal == BoardSignal.Landing,
            BoardTimer.Calibration => state.Calibrating,
            BoardTimer.LowBefore => plan.Board.Loss.LowBefore is not null && !state.LowForLong && IdlesLow(state),
            BoardTimer.AutomaticDisarm => plan.Board.Guards.DisarmsAfter is not null && IdlesLow(state),
        };

    /// <summary>A timer that runs has come to its end.</summary>
    /// <param name="plan">The board.</param>
    /// <param name="state">The state before.</param>
    /// <param name="timer">The timer.</param>
    /// <param name="fix">True while the board has a position fix.</param>
    /// <returns>The state after; the same state when the timer does not run.</returns>
    public static BoardState Elapse(BoardPlan plan, BoardState state, BoardTimer timer, bool fix)
    {
        if (!Runs(plan, state, timer))
            return state;
        return timer switch
        {
            BoardTimer.FramesMissing => Miss(plan, state, fix),
            BoardTimer.Grace => Procedure(plan, state, fix, BoardSignal.None, ArmRefusal.SwitchOnAtSignalReturn),
            BoardTimer.Landing => Stop(state, BoardSignal.None, ArmRefusal.StoppedByItself),
            BoardTimer.Calibration => state with { Calibrating = false },
            BoardTimer.LowBefore => state with { LowForLong = true },
            BoardTimer.AutomaticDisarm => Stop(state, state.Signal, ArmRefusal.StoppedByItself),
        };
    }

    /// <summary>The position fix is gone: a board that flies home comes down where it is.</summary>
    public static BoardState LoseFix(BoardState state) =>
        state.Signal == BoardSignal.Returning ? state with { Signal = BoardSignal.Landing } : state;

    private static bool IdlesLow(BoardState state) =>
        state is { Armed: true, ThrottleLow: true, Signal: BoardSignal.Good } && state.Motors != MotorLevel.Thrust;

    // Frames arrive: the pilot gets the craft back, unless it flies by itself and its terms are not met.
    private static BoardSignal Resume(BoardPlan plan, BoardState state, BoardView view)
    {
        if (state.Signal is not (BoardSignal.Landing or BoardSignal.Returning))
            return BoardSignal.Good;
        if (view.Has(plan.LossBits))
            return state.Signal;
        return plan.Board.Loss.Recovery == FlightRecovery.AtOnce || view.Has(BoardView.DeflectedBit)
            ? BoardSignal.Good
            : state.Signal;
    }

    private static BoardState Arm(BoardPlan plan, BoardState state, BoardView view, Surroundings surroundings)
    {
        if (!state.ArmRequested)
        {
            var waits = state.Armed && plan.Board.Guards.DisarmsOnlyWhenLow && !state.ThrottleLow;
            return waits ? state : Stop(state, BoardSignal.Good, ArmRefusal.None);
        }

        var latches = plan.Board.Guards.RefusalLatches || MustCycle(state.Standing);
        if (state.Armed || (latches && state.Standing != ArmRefusal.None))
            return state;
        var blocked = BoardGuards.FirstUnsatisfied(plan, view, surroundings, state.Calibrating);
        if (blocked != ArmRefusal.None)
            return state with { Standing = blocked };
        return state with
        {
            Armed = true,
            Standing = ArmRefusal.None,
            ForSelfRight = BoardGuards.Rights(plan, view, surroundings),
        };
    }

    private static bool MustCycle(ArmRefusal standing) =>
        standing is ArmRefusal.SwitchOnAtPowerUp or ArmRefusal.SwitchOnAtSignalReturn or ArmRefusal.StoppedByItself;

    private static BoardState Drive(BoardPlan plan, BoardState state, BoardView view)
    {
        if (!state.Armed)
            return state with { Motors = MotorLevel.Off, LowForLong = false };
        if (state.Signal != BoardSignal.Good)
            return state;
        var righting = state.ForSelfRight && (view.Has(plan.SelfRightBits) || !state.ThrottleLow);
        var motors = Level(plan, view, righting);
        return state with
        {
            ForSelfRight = righting,
            LowForLong = state.LowForLong && state.ThrottleLow,
            Flown = state.Flown || (plan.Board.Loss.FlownOnly && motors == MotorLevel.Thrust && !righting),
            Motors = motors,
        };
    }

    private static MotorLevel Level(BoardPlan plan, BoardView view, bool righting)
    {
        if (view.Has(plan.CutBits))
            return MotorLevel.Off;
        var deflected = view.Has(BoardView.DeflectedBit);
        if (righting)
            return view.Has(plan.SelfRightBits) && deflected ? MotorLevel.Thrust : MotorLevel.Idle;
        if (view.Has(BoardView.ThrustBit))
            return MotorLevel.Thrust;
        if (!view.Has(plan.StabiliseBits))
            return MotorLevel.Idle;
        return deflected ? MotorLevel.Thrust : MotorLevel.IdleWithControl;
    }

    private static BoardState Miss(BoardPlan plan, BoardState state, bool fix)
    {
        if (!state.Armed)
            return Stop(state, BoardSignal.None, ArmRefusal.SwitchOnAtSignalReturn) with { ArmRequested = false };
        if (plan.Board.Loss.Grace.Value <= 0)
            return Procedure(plan, state, fix, BoardSignal.None, ArmRefusal.SwitchOnAtSignalReturn);
        var substituted = plan.Board.Loss.GraceValues == GraceValues.Substituted && state.Motors == MotorLevel.Thrust;
        return state with { Signal = BoardSignal.Grace, Motors = substituted ? MotorLevel.Idle : state.Motors };
    }

    private static BoardState Procedure(
        BoardPlan plan,
        BoardState state,
        bool fix,
        BoardSignal stopped,
        ArmRefusal standing
    ) =>
        plan.Board.Loss.Procedure switch
        {
            _ when state.LowForLong || (plan.Board.Loss.FlownOnly && !state.Flown) => Stop(state, stopped, standing),
            LossProcedure.ReturnHome when fix => state with
            {
                Signal = BoardSignal.Returning,
                Motors = MotorLevel.Thrust,
            },
            LossProcedure.Land or LossProcedure.ReturnHome => state with
            {
                Signal = BoardSignal.Landing,
                Motors = MotorLevel.Thrust,
            },
            LossProcedure.Stop => Stop(state, stopped, standing),
            _ => throw new ArgumentOutOfRangeException(nameof(plan)),
        };

    private static BoardState Stop(BoardState state, BoardSignal signal, ArmRefusal standing) =>
        state with
        {
            Signal = signal,
            Armed = false,
            Motors = MotorLevel.Off,
            ForSelfRight = false,
            LowForLong = false,
            Flown = false,
            ArmRequested = signal != BoardSignal.None && state.ArmRequested,
            Standing = standing,
        };
}
