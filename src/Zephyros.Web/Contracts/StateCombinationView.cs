namespace Zephyros.Web.Contracts;

/// <summary>A combination of what decides about the flight state.</summary>
/// <param name="Words">The combination in words; empty when nothing decides.</param>
/// <param name="State">The id of the state that it gives; null when none is active.</param>
public sealed record StateCombinationView(string Words, string? State);
