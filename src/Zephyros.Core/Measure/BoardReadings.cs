using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;

namespace Zephyros.Core.Measure;

/// <summary>What was read off a board.</summary>
/// <param name="Wiggles">Which bars answered.</param>
/// <param name="Sweeps">How far the bars went, by axis.</param>
/// <param name="Positions">What the positions of switches showed.</param>
public sealed record BoardReadings(
    IReadOnlyList<WiggleSeen> Wiggles,
    IReadOnlyDictionary<string, Sweep> Sweeps,
    IReadOnlyList<PositionSeen> Positions
)
{
    /// <summary>Nothing.</summary>
    public static BoardReadings None { get; } = new([], new Dictionary<string, Sweep>(StringComparer.Ordinal), []);
}
