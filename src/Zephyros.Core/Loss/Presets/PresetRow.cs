using Zephyros.Core.Units;

namespace Zephyros.Core.Loss.Presets;

/// <summary>What a receiver should send on a channel after a loss of the signal.</summary>
/// <param name="Channel">The channel.</param>
/// <param name="Label">What it is for.</param>
/// <param name="Value">The preset; one that the wire can carry.</param>
/// <param name="Share">The same as transmitters show it.</param>
/// <param name="Count">The same as the wire carries it.</param>
/// <param name="Now">What is written down now; null when the channel keeps its last value.</param>
/// <param name="Why">What it does on the board, in a sentence.</param>
/// <param name="Unmet">What it cannot do besides, in sentences.</param>
public sealed record PresetRow(
    ChannelNumber Channel,
    string Label,
    Microseconds Value,
    Percent Share,
    int Count,
    Microseconds? Now,
    string Why,
    IReadOnlyList<string> Unmet
);
