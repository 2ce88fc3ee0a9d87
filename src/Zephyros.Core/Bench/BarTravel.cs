using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>A bar of the simulated board: what it shows, and how far it went since the watch was started.</summary>
/// <param name="Channel">The channel that the board reads it from.</param>
/// <param name="Now">What it shows, after the board has scaled it.</param>
/// <param name="Low">The lowest value since then.</param>
/// <param name="High">The highest value since then.</param>
public sealed record BarTravel(ChannelNumber Channel, Microseconds Now, Microseconds Low, Microseconds High);
