using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The board on the bench: its state, its times, what it made of the last frame, and what it knows besides the frames.</summary>
/// <remarks>What it does is said by <see cref="BoardMachine"/>, which the proof asks as well.</remarks>
internal sealed class BenchBoard
{
    private readonly BoardClock clock;
    private readonly BenchLog log;
    private SignalPlan plan;
    private (SignalPlan Plan, BoardState State, BoardReading Reading, BoardReport Report)? said;

    /// <summary>A board that has just got power.</summary>
    public BenchBoard(SignalPlan plan, BenchLog log)
    {
        (this.plan, this.log, clock) = (plan, log, new BoardClock());
        PowerUp(TimeSpan.Zero);
    }

    /// <summary>A board that stands as another one does, and tells what it does to a log of its own.</summary>
    public BenchBoard(BenchBoard other, BenchLog log)
    {
        (plan, this.log, clock) = (other.plan, log, other.clock.Copy());
        (State, Reading, Surroundings) = (other.State, other.Reading, other.Surroundings);
    }

    /// <summary>Its state.</summary>
    public BoardState State { get; private set; }

    /// <summary>What it made of the last frame.</summary>
    public BoardReading Reading { get; private set; }

    /// <summary>What it knows besides the frames.</summary>
    public Surroundings Surroundings { get; private set; }

    /// <summary>Counts the changes that a page would show.</summary>
    public long Changes { get; private set; }

    /// <summary>When the first of its times is over.</summary>
    public TimeSpan NextTimer => clock.Next.Due;

    /// <summary>What it says, in words.</summary>
    public BoardReport Report
    {
        get
        {
            // It says the same as long as nothing of this changes, and is asked for each picture.
            if (said is not var (by, state, reading, _) || by != plan || state != State || reading != Reading)
                said = (plan, State, Reading, BoardReport.Of(plan, State, Reading));
            return said.Value.Report;
        }
    }

    /// <summary>Takes another revision of the setup; its state stays.</summary>
    public void Replace(SignalPlan next)
    {
        plan = next;
        Surroundings = Known(Surroundings);
    }

    /// <summary>It gets power, or starts anew.</summary>
    public void PowerUp(TimeSpan now)
    {
        (State, Reading) = (BoardMachine.PowerUp(plan.Board), default);
        clock.Follow(plan.Board, State, now);
    }

    /// <summary>It loses its power.</summary>
    public void PowerOff(TimeSpan now)
    {
        State = BoardState.Off;
        clock.Follow(plan.Board, State, now);
    }

    /// <summary>The craft is tilted, connected or unlocked: it knows that with the next good frame. A position fix goes at once; without a
    /// position receiver it never comes.</summary>
    public void Surround(Surroundings around, TimeSpan now)
    {
        Surroundings = Known(around);
        if (!Surroundings.Fix)
            Become(BoardMachine.LoseFix(State), now);
    }

    /// <summary>The time that is over first is over.</summary>
    public void Elapse(TimeSpan now) =>
        Become(BoardMachine.Elapse(plan.Board, State, clock.Next.Timer, Surroundings.Fix), now);

    /// <summary>Takes a good frame.</summary>
    /// <param name="pulses">The channels, channel 1 first.</param>
    /// <param name="now">The time.</param>
    /// <returns>True when it makes something else of it than of the frame before.</returns>
    public bool Receive(ReadOnlySpan<Microseconds> pulses, TimeSpan now)
    {
        clock.Restart(BoardTimer.FramesMissing, now);
        var before = Reading;
        Reading = BoardReading.Of(plan.Board, pulses, Surroundings, State.Calibrating);
        Become(BoardMachine.Receive(plan.Board, State, Reading.View, Surroundings), now);
        return Reading != before;
    }

    private void Become(BoardState next, TimeSpan now)
    {
        var before = State;
        State = next;
        clock.Follow(plan.Board, State, now);
        if (before != next)
            Tell(before, next, now);
    }

    private void Tell(BoardState before, BoardState next, TimeSpan now)
    {
        Changes++;
        if (next.HasSignal && !before.HasSignal)
            log.Add(now, LogKind.Good, "Signal good");
        else if (before.Signal != next.Signal)
            log.Add(now, LogKind.Lost, BoardReport.Loss(before, next));
        if (before.Armed != next.Armed && next.HasSignal)
            log.Add(now, next.Armed ? LogKind.Armed : LogKind.Disarmed, next.Armed ? "Armed" : "Disarmed");
        if (before.Refusal != next.Refusal && next.Refusal is not (ArmRefusal.None or ArmRefusal.NoSignal))
            log.Add(now, LogKind.Refused, "Refused. " + BoardReport.Refusal(plan, next.Refusal, Reading));
    }

    private Surroundings Known(Surroundings around) =>
        around with
        {
            Fix = around.Fix && plan.Setup.Board.Equipment.PositionReceiver,
        };
}
