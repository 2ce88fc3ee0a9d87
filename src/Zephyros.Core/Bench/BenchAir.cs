using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The simulated link while the craft is at a distance.</summary>
/// <param name="Distance">The distance between the antennas.</param>
/// <param name="Quality">The share of the last hundred packets that arrived; 0 % once the link is lost.</param>
/// <param name="Strength">The signal at the receiver.</param>
/// <param name="Margin">How much that is over what the receiver still understands.</param>
public sealed record BenchAir(Kilometres Distance, Percent Quality, DecibelMilliwatts Strength, Decibels Margin);
