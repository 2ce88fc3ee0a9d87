using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Controls;

/// <summary>What arrives on a channel.</summary>
/// <param name="Channel">The number of the channel.</param>
/// <param name="Received">What the board receives there.</param>
public sealed record ChannelValue(ChannelNumber Channel, Microseconds Received);
