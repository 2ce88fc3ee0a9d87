using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>A bar of the simulated board: what it shows, and how far it went since the watch was started.</summary>
/// <param name="Channel">The channel that the board reads it from.</param>
/// <param name="Now">What it shows, after the board has scaled it.</param>
/// <param name="Low">The lowest value since then.</param>
/// <param name="High">The highest value since then.</param>
/// <param name="Centre">Its centre: what it shows now, since the stick springs back; without a spring halfway between the ends.</param>
public sealed record BarTravel(
    ChannelNumber Channel,
    Microseconds Now,
    Microseconds Low,
    Microseconds High,
    Microseconds Centre
)
{
    /// <summary>The travel once the bar shows something else, or for the first time.</summary>
    /// <param name="before">The travel so far; null when there is none.</param>
    /// <param name="axis">The axis.</param>
    /// <param name="channel">The channel that the board reads it from.</param>
    /// <param name="shown">What it shows.</param>
    public static BarTravel Of(BarTravel? before, StickAxis axis, ChannelNumber channel, Microseconds shown)
    {
        var low = Math.Min(before?.Low.Value ?? shown.Value, shown.Value);
        var high = Math.Max(before?.High.Value ?? shown.Value, shown.Value);
        var centre = axis.Springs() ? shown.Value : (low + high) / 2;
        return new BarTravel(channel, shown, new(low), new(high), new(centre));
    }
}
