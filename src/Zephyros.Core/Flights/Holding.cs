namespace Zephyros.Core.Flights;

/// <summary>A time for which an alarm held.</summary>
/// <param name="From">Since when.</param>
/// <param name="To">Until when; the end of the flight where it still held.</param>
/// <param name="How">How it ended.</param>
public sealed record Holding(TimeSpan From, TimeSpan To, HoldingEnd How);
