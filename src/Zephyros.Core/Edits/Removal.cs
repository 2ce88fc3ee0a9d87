using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Edits;

/// <summary>What taking something out of a setup means.</summary>
/// <param name="Edit">The edit; null while something else needs it.</param>
/// <param name="NeededBy">What names it and would be wrong without it, in words.</param>
/// <param name="TakesAlong">What goes with it, in words.</param>
/// <param name="Leaves">What stays and misses it from then on, in words.</param>
public sealed record Removal(
    SetupEdit? Edit,
    IReadOnlyList<string> NeededBy,
    IReadOnlyList<string> TakesAlong,
    IReadOnlyList<string> Leaves
);
