namespace Zephyros.Core.Proof.Replay;

/// <summary>What a sequence that was found is worth.</summary>
/// <param name="Path">The sequence, the start first.</param>
/// <param name="Ending">What came of it.</param>
/// <param name="Shortest">True when no fewer moves do the same.</param>
internal sealed record Trial(IReadOnlyList<PathStep> Path, TrialEnding Ending, bool Shortest = false)
{
    /// <summary>Of a sequence that is excluded: true when the promise's premise came about all the same.</summary>
    public bool PremiseReached { get; init; }
}
