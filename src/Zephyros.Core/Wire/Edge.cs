namespace Zephyros.Core.Wire;

/// <summary>A change of level on a line.</summary>
/// <param name="At">When, in nanoseconds.</param>
/// <param name="High">The level from then on.</param>
public readonly record struct Edge(long At, bool High);
