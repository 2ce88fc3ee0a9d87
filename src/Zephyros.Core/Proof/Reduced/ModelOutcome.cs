namespace Zephyros.Core.Proof.Reduced;

/// <summary>What comes of running the model at one position of its inputs.</summary>
/// <param name="Memory">The number of the memory after it.</param>
/// <param name="Reading">The number of what the board then reads.</param>
internal readonly record struct ModelOutcome(int Memory, int Reading);
