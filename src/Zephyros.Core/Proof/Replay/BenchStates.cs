using Zephyros.Core.Bench;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Replay;

/// <summary>What of a bench's radio and memory a proof would call by a word of its own.</summary>
internal static class BenchStates
{
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

    /// <summary>What a part of the memory is, and how long it has waited; NaN when it does not wait.</summary>
    public static (int State, double Waited) Part(ProofScope scope, ModelMemory memory, MemoryPart part)
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
