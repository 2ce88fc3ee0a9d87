namespace Zephyros.Core.Path.States;

/// <summary>One combination of everything that decides about the flight state, and the state that it gives.</summary>
/// <param name="Words">The combination: "Right shoulder far, Distance home 850.1 m"; empty when nothing decides.</param>
/// <param name="State">The id of the state that is active then; null when none is.</param>
/// <param name="Holding">The ids of the conditions that hold then.</param>
public sealed record StateCombination(string Words, string? State, IReadOnlySet<string> Holding);
