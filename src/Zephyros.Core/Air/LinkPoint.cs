using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>What a radio link is like at a distance.</summary>
/// <param name="Distance">The distance between the antennas.</param>
/// <param name="Margin">How much the signal is stronger than what the receiver still understands; negative when it is weaker.</param>
/// <param name="Strength">The signal at the receiver.</param>
/// <param name="Quality">The share of packets that arrive, by our own model.</param>
public sealed record LinkPoint(Kilometres Distance, Decibels Margin, DecibelMilliwatts Strength, Percent Quality);
