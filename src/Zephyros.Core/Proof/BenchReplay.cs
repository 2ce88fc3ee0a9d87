using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof;

/// <summary>Plays a sequence of a proof on a bench, step by step, with real frames and real time.</summary>
/// <remarks>Not safe for use by several threads.</remarks>
public sealed class BenchReplay
{
    // Long enough for a few frames, short against everything that a board waits for.
    private const int FramesToSettle = 3;

    private readonly IReadOnlyList<PathStep> path;
    private readonly TimeSpan settling;

    /// <summary>Sets up the bench at the start of a sequence.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="path">The sequence, the start first.</param>
    public BenchReplay(Setup setup, IReadOnlyList<PathStep> path)
        : this(new BenchRun(setup), path) { }

    /// <summary>Puts a bench that is there already at the start of a sequence.</summary>
    public BenchReplay(BenchRun bench, IReadOnlyList<PathStep> path)
    {
        (Bench, this.path) = (bench, path);
        settling = FramesToSettle * bench.Setup.Wire.FramePeriod.ToTimeSpan();
        bench.SetPower(false);
        bench.SetLink(true);
        bench.SetTelemetry(true);
        bench.Surround(default);
        bench.SetTransmitter(false);
        foreach (var input in path[0].Inputs)
            Put(input);
        bench.SetTransmitter(true);
    }

    /// <summary>The bench.</summary>
    public BenchRun Bench { get; }

    /// <summary>How many steps were played; the start does not count.</summary>
    public int Played { get; private set; }

    /// <summary>True when all were.</summary>
    public bool AtEnd => Played == path.Count - 1;

    /// <summary>Plays a sequence from start to end.</summary>
    /// <returns>True when the board on the bench did in every step what the proof says of it.</returns>
    public static bool Confirms(Setup setup, IReadOnlyList<PathStep> path)
    {
        var replay = new BenchReplay(setup, path);
        while (!replay.AtEnd)
            if (!replay.Step())
                return false;
        return true;
    }

    /// <summary>Plays a sequence from start to end and looks at the board only then.</summary>
    /// <returns>True when the board on the bench has reached the goal.</returns>
    public static bool Reaches(
        Setup setup,
        IReadOnlyList<PathStep> path,
        Func<BoardState, BoardView, bool> goal,
        string? standing = null
    )
    {
        var replay = new BenchReplay(setup, path);
        while (!replay.AtEnd)
            replay.Step();
        var view = replay.Bench.LastView.Bits;
        if (path[^1].Situation.Radio == RadioState.Up && standing is not null)
            view |= ProofScope.PositionBit(replay.Bench.SettingOf(standing));
        return goal(replay.Bench.Board, new BoardView(view));
    }

    /// <summary>Plays the next step and lets the board see it.</summary>
    /// <returns>True when the board is then in the state that the proof gives.</returns>
    public bool Step()
    {
        var step = path[++Played];
        Act(step);
        Bench.Tremble(step.Trembles);
        Bench.AdvanceTo(Bench.Now + step.Wait + settling);
        return Same(Bench.Board, step.Board);
    }

    private static bool Same(BoardState one, BoardState other) =>
        (one.Powered, one.Signal, one.Armed, one.Standing, one.Motors, one.ForSelfRight)
        == (other.Powered, other.Signal, other.Armed, other.Standing, other.Motors, other.ForSelfRight);

    private void Act(PathStep step)
    {
        switch (step.Kind)
        {
            case MoveKind.Input:
                foreach (var input in step.Inputs)
                    Put(input);
                break;
            case MoveKind.RadioLost or MoveKind.RadioBack:
                Bench.SetLink(step.Kind == MoveKind.RadioBack);
                break;
            case MoveKind.PowerOn or MoveKind.PowerOff:
                Bench.SetPower(step.Kind == MoveKind.PowerOn);
                break;
            case MoveKind.TransmitterOff:
                Bench.SetTransmitter(false);
                break;
            case MoveKind.TransmitterOn:
                // The proof lets the link be back with the transmitter.
                Bench.SetLink(true);
                Bench.SetTransmitter(true);
                break;
            case MoveKind.Turn or MoveKind.Cable or MoveKind.Fix:
                Bench.Surround(
                    SituationSystem.Around(
                        Bench.Setup.Board,
                        step.Situation.Lies,
                        step.Situation.Usb,
                        step.Situation.Fix
                    )
                );
                break;
        }
    }

    private void Put(StepInput input)
    {
        switch (input.Kind)
        {
            case InputKind.Control:
                Bench.Move(input.Id, input.Setting);
                break;
            case InputKind.Sensor:
                Bench.Report(input.Id, new Reading(input.Setting));
                break;
            default:
                Bench.SetTelemetry(input.Setting == 0);
                break;
        }
    }
}
