using Zephyros.Core.Units;

namespace Zephyros.Core.Captures;

/// <summary>What one channel did in a recording.</summary>
/// <param name="Channel">The channel.</param>
/// <param name="Lowest">The lowest value.</param>
/// <param name="Rest">Where it stood most of the time.</param>
/// <param name="Highest">The highest value.</param>
/// <param name="Course">Its values over time, at most <see cref="CaptureVerdict.MostPoints"/>, evenly over the whole recording.</param>
public sealed record ChannelTrack(
    ChannelNumber Channel,
    Microseconds Lowest,
    Microseconds Rest,
    Microseconds Highest,
    IReadOnlyList<Microseconds> Course
);
