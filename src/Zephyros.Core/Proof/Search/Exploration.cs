namespace Zephyros.Core.Proof.Search;

/// <summary>What an exploration came to.</summary>
/// <param name="Ending">How it ended.</param>
/// <param name="States">How many states were found.</param>
/// <param name="Transitions">How many moves that change the state were looked at.</param>
/// <param name="Depth">How many moves deep it went.</param>
/// <param name="Bytes">The memory that it took, about.</param>
/// <param name="Path">The moves to the broken promise with the states after them, the start first without a move; empty unless broken.</param>
internal sealed record Exploration(
    ExplorationEnding Ending,
    long States,
    double Transitions,
    int Depth,
    long Bytes,
    IReadOnlyList<(ProofMove? Move, ProofState State)> Path
);
