using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Measure.Positions;

/// <summary>Something to do after positions were measured.</summary>
/// <param name="Words">What it does, in a sentence.</param>
/// <param name="Edit">The edit that does it.</param>
public sealed record PositionFix(string Words, SetupEdit Edit);
