using Zephyros.Core.Units;

namespace Zephyros.Core.Path.States;

/// <summary>A flight state in the table state x channel.</summary>
/// <param name="State">The id of the state.</param>
/// <param name="Cells">The value that leaves the transmitter in this state, by the channel's id; null for a forgotten cell.</param>
/// <param name="Reached">How the state is reached, a combination of controls or a few moves in words; null when no way to it was found.</param>
/// <param name="ShadowedBy">The states above it that take all its combinations; empty when it is reached.</param>
/// <param name="SameAs">The other states that send the same values on every channel of the table, so that a board cannot tell them apart.</param>
public sealed record StateRow(
    string State,
    IReadOnlyDictionary<string, Percent?> Cells,
    string? Reached,
    IReadOnlyList<string> ShadowedBy,
    IReadOnlyList<string> SameAs
);
