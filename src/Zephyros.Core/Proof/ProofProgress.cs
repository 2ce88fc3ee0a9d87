namespace Zephyros.Core.Proof;

/// <summary>How far a running proof has come.</summary>
/// <param name="Moves">How many moves deep it looks.</param>
/// <param name="States">How many states it has found.</param>
/// <param name="Estimate">How many there may be at most, about.</param>
public readonly record struct ProofProgress(int Moves, long States, double Estimate);
