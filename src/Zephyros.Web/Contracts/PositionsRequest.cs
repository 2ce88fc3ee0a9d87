using Zephyros.Core.Measure.Positions;

namespace Zephyros.Web.Contracts;

/// <summary>What the board showed of the positions of switches and buttons.</summary>
/// <param name="Seen">What was seen, in any order.</param>
public sealed record PositionsRequest(IReadOnlyList<PositionSeen> Seen);
