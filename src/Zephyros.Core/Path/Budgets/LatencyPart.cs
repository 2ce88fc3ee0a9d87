using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Budgets;

/// <summary>A part of the time from the stick to the board.</summary>
/// <param name="Name">What takes the time.</param>
/// <param name="AtMost">How long it takes at worst.</param>
public sealed record LatencyPart(string Name, Milliseconds AtMost);
