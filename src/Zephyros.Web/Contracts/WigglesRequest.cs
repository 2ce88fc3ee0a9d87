using Zephyros.Core.Measure.Wiggles;

namespace Zephyros.Web.Contracts;

/// <summary>What was seen when sticks were wiggled.</summary>
/// <param name="Seen">The observations, in any order.</param>
public sealed record WigglesRequest(IReadOnlyList<WiggleSeen> Seen);
