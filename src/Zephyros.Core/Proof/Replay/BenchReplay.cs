using Zephyros.Core.Bench;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Plays a sequence of a proof on a bench, step by step, with real frames and real time.</summary>
/// <remarks>Not safe for use by several threads.</remarks>
public sealed class BenchReplay
{
    private readonly IReadOnlyList<PathStep> path;

    // A sequence that speaks of telemetry says when it comes and when it is missed; else the bench's own packets do.
    private readonly bool decides;

    /// <summary>Sets up the bench at the start of a sequence.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="path">The sequence, the start first.</param>
    public BenchReplay(Setup setup, IReadOnlyList<PathStep> path)
        : this(new BenchRun(setup), path) { }

    /// <summary>Puts a bench that is there already at the start of a sequence.</summary>
    public BenchReplay(BenchRun bench, IReadOnlyList<PathStep> path)
    {
        (Bench, this.path) = (bench, path);
        bench.SetPower(false);
        bench.SetLink(true);
        bench.SetTelemetry(true);
        decides = path[0].Inputs.Any(i => i.Kind == InputKind.Telemetry);
        if (decides)
            bench.DecideTelemetry(missed: true);
        bench.SetDistance(null);
        bench.Surround(default);
        bench.SetTransmitter(false);
        bench.AdvanceTo(bench.Now + bench.Setup.Transmitter.RestartTime.ToTimeSpan());
        foreach (var input in path[0].Inputs)
            Put(input);
        bench.SetTransmitter(true);
        bench.AdvanceTo(bench.Now + path[0].Settling);
    }

    /// <summary>The bench.</summary>
    public BenchRun Bench { get; }

    /// <summary>How many steps were played; the start does not count.</summary>
    public int Played { get; private set; }

    /// <summary>True when all were.</summary>
    public bool AtEnd => Played == path.Count - 1;

    /// <summary>Leaves the bench to itself: packets of telemetry come and are missed as they are again.</summary>
    public void LetGo() => Bench.DecideTelemetry(null);

    /// <summary>Plays the next step and lets the board see it.</summary>
    /// <returns>True when the board is then in the state that the sequence gives.</returns>
    public bool Step()
    {
        var step = path[++Played];
        Bench.AdvanceTo(Bench.Now + step.Wait);
        Act(step);
        Bench.Tremble(step.Trembles);
        Bench.AdvanceTo(Bench.Now + step.Settling);
        return Bench.Board == step.Board;
    }

    /// <summary>Plays the next step.</summary>
    /// <returns>The step with what the board on the bench did.</returns>
    internal PathStep Tell()
    {
        Step();
        var step = path[Played];
        var seen = step.Situation with { Board = Bench.Board };
        return step with { Situation = seen, Outcome = ProofWords.Outcome(seen) };
    }

    private void Act(PathStep step)
    {
        if (step.Kind != MoveKind.TransmitterOff)
            FollowTelemetry(step);
        switch (step.Kind)
        {
            case MoveKind.Input:
                Bench.Move(
                    step.Inputs.Where(i => i.Kind == InputKind.Control)
                        .ToDictionary(i => i.Id, i => i.Setting, StringComparer.Ordinal)
                );
                foreach (var input in step.Inputs.Where(i => i.Kind != InputKind.Control))
                    Put(input);
                break;
            case MoveKind.RadioLost or MoveKind.RadioBack:
                Bench.SetLink(step.Kind == MoveKind.RadioBack);
                break;
            case MoveKind.PowerOn or MoveKind.PowerOff:
                Bench.SetPower(step.Kind == MoveKind.PowerOn);
                break;
            case MoveKind.TransmitterOff:
                // What is off hears nothing, and says nothing of it.
                Bench.SetTransmitter(false);
                FollowTelemetry(step);
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
            case MoveKind.ModelTime or MoveKind.SlowStep or MoveKind.BoardTime or MoveKind.Tremble:
                // Time does it.
                break;
            default:
                throw new ArgumentOutOfRangeException(nameof(step));
        }
    }

    private void FollowTelemetry(PathStep step)
    {
        if (decides && step.Kind is { } kind && TelemetryMoves.After(kind, step.Value) is { } cell)
            Bench.DecideTelemetry(cell == ProofScope.TelemetryLost);
    }

    private void Put(StepInput input)
    {
        switch (input.Kind)
        {
            case InputKind.Control:
                Bench.Move(input.Id, input.Setting);
                break;
            case InputKind.Sensor:
                Bench.Hear(input.Id, new Reading(input.Setting));
                break;
            case InputKind.Telemetry:
                Bench.DecideTelemetry(input.Setting != 0);
                break;
        }
    }
}
