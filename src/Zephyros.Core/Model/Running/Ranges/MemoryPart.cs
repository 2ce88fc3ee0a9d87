namespace Zephyros.Core.Model.Running.Ranges;

/// <summary>Something that a running model remembers, as a small number: a latch (off, on), a delay (what it gives), a press.</summary>
/// <param name="Op">Its place in the program.</param>
/// <param name="Owner">The part of the model that it stands in.</param>
/// <param name="Code">What it is.</param>
/// <param name="Count">How many states it has.</param>
internal sealed record MemoryPart(int Op, ModelNode Owner, OpCode Code, int Count)
{
    /// <summary>For a slow step: the stretches of what it gives, from the lowest; its states are these, counted from 1, and 0 before it has
    /// run.</summary>
    public IReadOnlyList<SlowCell> Cells { get; init; } = [];

    /// <summary>For a slow step: its bit among the continuous sources.</summary>
    public ulong Source { get; init; }

    /// <summary>A button that was pressed, not yet for long enough.</summary>
    public const int PressedShort = 1;

    /// <summary>A button that was pressed long enough, and not for too long.</summary>
    public const int PressedEnough = 2;

    /// <summary>A button that was pressed for too long.</summary>
    public const int PressedTooLong = 3;

    /// <summary>A button that was let go in time; that counts for a moment.</summary>
    public const int Pulse = 4;

    /// <summary>The memory of some parts of a compiled model, in the order of the program.</summary>
    public static IReadOnlyList<MemoryPart> Of(ModelPlan plan, IReadOnlySet<ModelNode> relevant)
    {
        var parts = new List<MemoryPart>();
        foreach (var section in plan.Sections.Where(s => relevant.Contains(s.Node)))
            for (var i = section.First; i < section.First + section.Count; i++)
                if (StatesOf(plan.Program[i]) is > 1 and var count)
                    parts.Add(new MemoryPart(i, section.Node, plan.Program[i].Code, count));
        return parts;
    }

    /// <summary>For a slow step: the state in which it gives a value.</summary>
    public int CellOf(double value)
    {
        for (var i = 0; i < Cells.Count; i++)
            if (value <= Cells[i].UpTo)
                return i + 1;
        return Cells.Count;
    }

    private static int StatesOf(in Op op) =>
        op.Code == OpCode.Press && !double.IsPositiveInfinity(op.Q) ? 5
        : op.Code is OpCode.Latch or OpCode.Delay or OpCode.Press ? 2
        : 1;
}
