using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Guides through a loss of the signal at the bench and goes on by what the board does: armed at idle, transmitter off, what the
/// board does and when, on again, nothing starts, and only off and on arms.</summary>
/// <remarks>It looks at a simulated board, whose receiver gives up at once. A pass is a rehearsal and no test of the real one.</remarks>
public sealed class LossTrial
{
    // So long nothing may start after the signal is back, and so much later than it should something is no longer waited for.
    private static readonly TimeSpan Calm = TimeSpan.FromSeconds(2);

    private readonly Setup setup;
    private readonly TimeSpan? notices;
    private readonly TimeSpan? stops;
    private readonly List<LossTrialStep> steps;
    private LossTrialPhase phase;
    private TimeSpan since;
    private string problem = "";
    private bool packets = true;

    /// <summary>Begins.</summary>
    /// <param name="setup">The setup on the bench.</param>
    public LossTrial(Setup setup)
    {
        this.setup = setup;
        var gives = setup.Air.GivesUp.ToTimeSpan();
        var times = LossTimes.Of(setup);
        (notices, stops) = (times?.Notices.ToTimeSpan() - gives, times?.Stops.ToTimeSpan() - gives);
        steps = [.. Steps(setup, notices, stops)];
    }

    // A board that takes a throttle that was low for so long for one on the ground must have it so.
    private TimeSpan Idle => setup.Board.Loss.LowBefore?.ToTimeSpan() ?? default;

    /// <summary>How far it is.</summary>
    public LossTrialState State => new(phase == LossTrialPhase.Done, Prompt, problem, [.. steps]);

    /// <summary>Looks at the board.</summary>
    /// <param name="board">Its state.</param>
    /// <param name="radio">True while packets come.</param>
    /// <param name="now">The time; not earlier than before.</param>
    /// <returns>True when the state is another than before.</returns>
    public bool Look(BoardState board, bool radio, TimeSpan now)
    {
        var before = (phase, problem, packets, Came: steps.Count(s => s.Came is not null));
        packets = radio;
        Step(board, radio, now);
        return before != (phase, problem, packets, steps.Count(s => s.Came is not null));
    }

    private void Step(BoardState board, bool radio, TimeSpan now)
    {
        switch (phase)
        {
            case not LossTrialPhase.Done when !board.Powered:
                // A board without power is no board whose motors stand.
                problem = "The craft has no power.";
                phase = LossTrialPhase.Arm;
                break;
            case LossTrialPhase.Arm when radio && board.Armed:
                Came("arms", true, "It is armed.");
                Go(LossTrialPhase.Off, now);
                break;
            case LossTrialPhase.Off when !radio && now - since < Idle:
                problem = $"It must stand armed at idle for {Words(Idle)} before.";
                phase = LossTrialPhase.Arm;
                break;
            case LossTrialPhase.Off when !radio:
                Go(LossTrialPhase.Watch, now);
                break;
            case LossTrialPhase.Off when !board.Armed:
                problem = "It was disarmed again.";
                phase = LossTrialPhase.Arm;
                break;
            case LossTrialPhase.Watch when radio:
                problem = "The transmitter came on again too soon.";
                phase = board.Armed ? LossTrialPhase.Off : LossTrialPhase.Arm;
                break;
            case LossTrialPhase.Watch:
                Watch(board, now);
                break;
            case LossTrialPhase.On when radio:
                Go(LossTrialPhase.Stays, now);
                break;
            case LossTrialPhase.Stays when board.Armed || board.Motors != MotorLevel.Off:
                Came("stays", false, "The motors started by themselves.");
                Go(LossTrialPhase.Done, now);
                break;
            case LossTrialPhase.Stays when board.HasSignal && !board.ArmRequested:
                problem =
                    "The arm switch was put off: so it is not seen whether something starts. Switch off and on again.";
                phase = LossTrialPhase.Arm;
                break;
            case LossTrialPhase.Stays when now - since >= Calm:
                Came("stays", true, "Nothing started.");
                Go(LossTrialPhase.SwitchOff, now);
                break;
            case LossTrialPhase.SwitchOff when board.HasSignal && !board.ArmRequested:
                Go(LossTrialPhase.ArmAgain, now);
                break;
            case LossTrialPhase.ArmAgain when board.Armed:
                Came("cycles", true, "It is armed.");
                Go(LossTrialPhase.Done, now);
                break;
            case LossTrialPhase.Done:
                break;
        }
    }

    private void Watch(BoardState board, TimeSpan now)
    {
        var took = now - since;
        if (notices is null || stops is null)
        {
            if (took < setup.Board.SignalTimeout.ToTimeSpan() + Calm)
                return;
            Came("notices", board.HasSignal, board.HasSignal ? "The board noticed nothing." : "The board noticed.");
            Go(LossTrialPhase.Done, now);
            return;
        }

        if (!board.HasSignal)
            Came("notices", took <= notices, "The board knows that the signal is lost.", took);
        var stands = board is { Armed: false, Motors: MotorLevel.Off };
        if (!stands && took < stops + Calm)
            return;
        Came("stops", stands && took <= stops, stands ? "The motors stand." : "The motors still turn.", took);
        Go(stands ? LossTrialPhase.On : LossTrialPhase.Done, now);
    }

    private void Go(LossTrialPhase next, TimeSpan now) => (phase, since, problem) = (next, now, "");

    // The first time counts.
    private void Came(string id, bool came, string seen, TimeSpan? took = null)
    {
        var place = steps.FindIndex(s => s.Id == id);
        if (place >= 0 && steps[place].Came is null)
            steps[place] = steps[place] with
            {
                Came = came,
                Seen = seen,
                Took = took is { } time ? new Milliseconds(time.TotalMilliseconds) : null,
            };
    }

    private string Prompt =>
        phase switch
        {
            LossTrialPhase.Arm when !packets => "Switch the transmitter on.",
            LossTrialPhase.Arm => "Propellers off. Throttle low, and arm.",
            LossTrialPhase.Off when Idle > default(TimeSpan) =>
                $"Leave it at idle for {Words(Idle)}. Then switch the transmitter off.",
            LossTrialPhase.Off => "Switch the transmitter off.",
            LossTrialPhase.Watch => "Wait, and look at the motors.",
            LossTrialPhase.On => "Switch the transmitter on. Leave the arm switch.",
            LossTrialPhase.Stays => "Wait: nothing may start.",
            LossTrialPhase.SwitchOff => "Arm switch off.",
            LossTrialPhase.ArmAgain => "Arm switch on.",
            LossTrialPhase.Done => "Disarm. That is all.",
        };

    private static IEnumerable<LossTrialStep> Steps(Setup setup, TimeSpan? notices, TimeSpan? stops)
    {
        yield return new("arms", "Propellers off, craft held down, throttle low: arm.", "It arms, at idle.");
        if (notices is not { } known || stops is not { } stood)
        {
            yield return new(
                "notices",
                "Switch the transmitter off.",
                "The receiver goes on sending, and the board does not notice."
            );
            yield break;
        }

        yield return new(
            "notices",
            "Switch the transmitter off.",
            $"Within {Words(known)} the board knows that the signal is lost."
        );
        yield return new(
            "stops",
            "Wait.",
            LossTimes.FliesAtIdle(setup.Board.Loss)
                ? $"The motors turn up, and stand within {Words(stood)}: hold it down."
                : $"Within {Words(stood)} the motors stand."
        );
        yield return new("stays", "Switch it on again, the arm switch as it is.", "No motor starts.");
        yield return new("cycles", "Arm switch off, and on again.", "It arms.");
    }

    private static string Words(TimeSpan time) => new Milliseconds(time.TotalMilliseconds).Words;
}
