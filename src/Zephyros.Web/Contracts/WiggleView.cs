using Zephyros.Core.Measure.Wiggles;

namespace Zephyros.Web.Contracts;

/// <summary>What follows from wiggling the sticks, and what to do about it.</summary>
/// <param name="Answer">What follows.</param>
/// <param name="Contradictions">Pairs of observations that cannot both be right, by their places.</param>
/// <param name="Fixes">What to do.</param>
public sealed record WiggleView(
    WiggleAnswer Answer,
    IReadOnlyList<int[]> Contradictions,
    IReadOnlyList<WiggleFix> Fixes
);
