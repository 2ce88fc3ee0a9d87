using Zephyros.Core.Proof.Replay;

namespace Zephyros.Core.Proof;

/// <summary>What came of a promise.</summary>
/// <param name="Kind">The verdict.</param>
/// <param name="Reason">Why, in a sentence.</param>
public sealed record PromiseVerdict(VerdictKind Kind, string Reason)
{
    /// <summary>How many states were found.</summary>
    public long States { get; init; }

    /// <summary>How many moves that change the state were looked at.</summary>
    public double Transitions { get; init; }

    /// <summary>How many moves deep the exploration went.</summary>
    public int Depth { get; init; }

    /// <summary>The memory taken, in bytes, about.</summary>
    public long Bytes { get; init; }

    /// <summary>What was left out of the exploration because it makes no difference, and what was assumed.</summary>
    public IReadOnlyList<string> Assumptions { get; init; } = [];

    /// <summary>The sequence that breaks the promise, the start first; empty unless there is one.</summary>
    public IReadOnlyList<PathStep> Path { get; init; } = [];
}
