using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Finds the state of an explored system that a bench is in: the abstraction, the other way round.</summary>
internal sealed class BenchMap(ReducedModel model)
{
    /// <summary>The position of a bench's transmitter, and the memories that fit it: how open comparisons came out is not asked.</summary>
    public (int Word, int Bit, IReadOnlyList<int> Memories) Transmitter(BenchRun bench)
    {
        var (word, bit) = (0, 0);
        for (var i = 0; i < model.Scope.Inputs.Count; i++)
            (word, bit) = model.Grid.With(i, Cell(bench, i), word, bit);
        var parts = model.Scope.Parts.Select(p => Part(model.Scope, bench.Memory, p)).ToArray();
        var memories = model.Memory.NumbersOf([.. parts.Select(p => p.State)], [.. parts.Select(p => p.Waited)]);
        return (word, bit, bench.TransmitterOn ? memories : [0]);
    }

    /// <summary>Whether a bench's transmitter reaches its receiver.</summary>
    public static RadioState RadioOf(BenchRun bench) =>
        bench switch
        {
            { TransmitterOn: false } => RadioState.Off,
            { Link: false } => RadioState.Lost,
            _ => RadioState.Up,
        };

    /// <summary>True while something of the model waits or moves by itself.</summary>
    public static bool UnderWay(BenchRun bench, ProofScope scope) =>
        scope.IsSlow ? bench.Memory.Restless : scope.Parts.Any(p => !double.IsNaN(Part(scope, bench.Memory, p).Waited));

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
        var radio = RadioOf(bench);
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

    // What a part is, and how long it has waited; NaN when it does not wait.
    private static (int State, double Waited) Part(ProofScope scope, ModelMemory memory, MemoryPart part)
    {
        var op = scope.Plan.Model.Program[part.Op];
        if (part.Code == OpCode.Slow)
            return (double.IsNaN(memory.Cells[op.A]) ? 0 : part.CellOf(memory.Cells[op.A]), double.NaN);
        if (part.Code == OpCode.Latch)
            return (memory.Registers[op.B] != 0 ? 1 : 0, double.NaN);
        if (part.Code == OpCode.Delay)
            return (memory.Registers[op.B] != 0 ? 1 : 0, memory.Cells[op.C]);
        var (held, left) = (memory.Cells[op.C], memory.Cells[op.C + 1]);
        if (part.Count == 2)
            return memory.Registers[op.B] != 0 ? (1, double.NaN) : (0, held);
        if (!double.IsNaN(left))
            return (MemoryPart.Pulse, PressTest.PulseLength.Value - left);
        if (double.IsNaN(held))
            return (0, double.NaN);
        if (held < op.P)
            return (MemoryPart.PressedShort, held);
        return held < op.Q ? (MemoryPart.PressedEnough, held - op.P) : (MemoryPart.PressedTooLong, double.NaN);
    }
}
