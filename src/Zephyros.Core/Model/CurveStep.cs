using System.Collections.Immutable;
using System.ComponentModel;

namespace Zephyros.Core.Model;

/// <summary>Shapes the value by a curve through 3 to 17 points; beyond the outer points it stays at their height.</summary>
public sealed record CurveStep : ChainStep
{
    /// <summary>The fewest points that make a curve.</summary>
    public const int FewestPoints = 3;

    /// <summary>The points from left to right, no two at the same x. A curve is one value: an edit replaces it whole.</summary>
    [Description("The points from left to right, 3 to 17 of them, no two at the same x.")]
    public required ImmutableArray<CurvePoint> Points { get; init; }

    /// <summary>True for a rounded course, false for straight lines between the points.</summary>
    /// <remarks>The rounded course is a piecewise cubic that keeps the direction of the points (PCHIP), so it never overshoots them.</remarks>
    [Description("True for a rounded course that never overshoots its points, false for straight lines.")]
    public bool Smooth { get; init; }
}
