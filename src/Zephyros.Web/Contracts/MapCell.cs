using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>How an alarm would do at a place of the map, on all flights together.</summary>
/// <param name="False">How often it would be false.</param>
/// <param name="Missed">On how many flights none stood at the critical moment.</param>
/// <param name="Lead">The least that it left before one; null when no flight had one at which it stood.</param>
/// <param name="Enough">True when every flight got the wanted lead.</param>
public sealed record MapCell(int False, int Missed, Milliseconds? Lead, bool Enough);
