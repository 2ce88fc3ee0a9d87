using Zephyros.Core.Measure;

namespace Zephyros.Web.Contracts;

/// <summary>What the simulated board shows when the simulated sticks are moved one by one.</summary>
/// <param name="Wiggles">What each stick's wiggle shows; a stick that no bar answers is not there.</param>
/// <param name="Sweeps">The ends and centre of each bar, by axis; a bar that no stick moves is not there.</param>
/// <param name="Positions">What every position of every switch and button gives.</param>
public sealed record SimulatedView(
    IReadOnlyList<WiggleSeen> Wiggles,
    IReadOnlyDictionary<string, Sweep> Sweeps,
    IReadOnlyList<PositionSeen> Positions
);
