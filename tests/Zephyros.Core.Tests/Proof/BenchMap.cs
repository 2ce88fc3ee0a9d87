using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Finds the state of an explored system that a bench is in: the abstraction, the other way round.</summary>
internal sealed class BenchMap(ReducedModel model)
{
    /// <summary>The position of a bench's transmitter, and the memories that fit it: how open comparisons came out is not asked.</summary>
    public (int Word, int Bit, IReadOnlyList<int> Memories) Transmitter(BenchRun bench)
    {
        var (word, bit) = (0, 0);
        for (var i = 0; i < model.Scope.Inputs.Count; i++)
            (word, bit) = model.Grid.With(i, Cell(bench, i), word, bit);
        var parts = model.Scope.Parts.Select(p => BenchStates.Part(model.Scope, bench.Memory, p)).ToArray();
        var memories = model.Memory.NumbersOf([.. parts.Select(p => p.State)], [.. parts.Select(p => p.Waited)]);
        return (word, bit, bench.TransmitterOn ? memories : [0]);
    }

    /// <summary>The situations that fit a bench, for a promise that remembers nothing and does not ask for a position fix: whether what is
    /// held lies near an edge is not asked.</summary>
    public IReadOnlyList<Situation> Situations(BenchRun bench)
    {
        var situation = Situation(bench);
        if (situation.Held == 0)
            return [situation];
        var near = model.NumberOf(model.Readings[situation.Held] | ProofScope.NearEdgeBit);
        return [situation, situation with { Held = near }];
    }

    private Situation Situation(BenchRun bench)
    {
        var radio = BenchStates.RadioOf(bench);
        var sends = radio != RadioState.Up && bench.Power && bench.Setup.Air.OnLoss != ReceiverLoss.Silent;
        sends &= bench.Setup.Air.OnLoss == ReceiverLoss.Preset || bench.Linked;
        var held = sends ? model.NumberOf(bench.LastView.Bits & model.Scope.Bits) : 0;
        var tilt = bench.Surroundings.Tilt.Value;
        var lies =
            tilt > 90 ? Orientation.UpsideDown
            : tilt > 0 ? Orientation.Tilted
            : Orientation.Level;
        var usb = bench.Surroundings switch
        {
            { Unlocked: true } => UsbState.Unlocked,
            { Connected: true } => UsbState.Connected,
            _ => UsbState.None,
        };
        return new Situation(bench.Board, radio, bench.Linked, held, lies, usb, false, 0);
    }

    private int Cell(BenchRun bench, int input)
    {
        var made = model.Scope.Inputs[input];
        return made.Kind switch
        {
            InputKind.Telemetry => bench.TelemetryLost || !bench.TransmitterOn ? ProofScope.TelemetryLost : 0,
            InputKind.Sensor => made.CellOf(bench.ReadingOf(made.Id)),
            InputKind.Control => made.CellOf(bench.SettingOf(made.Id)),
        };
    }
}
