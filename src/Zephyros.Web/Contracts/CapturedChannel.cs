using Zephyros.Core.Captures;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>What a channel did in a recording.</summary>
/// <param name="Number">The channel.</param>
/// <param name="Label">What the model sends on it; empty when it sends nothing.</param>
/// <param name="Lowest">The lowest value.</param>
/// <param name="Rest">Where it stood most of the time.</param>
/// <param name="Highest">The highest value.</param>
/// <param name="Course">Its values over time.</param>
public sealed record CapturedChannel(
    ChannelNumber Number,
    string Label,
    Microseconds Lowest,
    Microseconds Rest,
    Microseconds Highest,
    IReadOnlyList<Microseconds> Course
)
{
    /// <summary>A channel with what the setup's model sends on it.</summary>
    public static CapturedChannel Of(Setup setup, ChannelTrack track) =>
        new(
            track.Channel,
            setup.Model.Channels.Values.FirstOrDefault(c => c.Number == track.Channel)?.Label ?? "",
            track.Lowest,
            track.Rest,
            track.Highest,
            track.Course
        );
}
