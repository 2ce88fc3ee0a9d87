using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>One way in which a radio system can be run: a packet rate with what it carries.</summary>
public sealed record LinkMode
{
    /// <summary>The mode in a few words.</summary>
    [Description("The mode in a few words.")]
    [StringLength(60, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>Packets per second.</summary>
    [Description("Packets per second.")]
    [Range(10, 1000)]
    public required Hertz PacketRate { get; init; }

    /// <summary>How many channels it carries.</summary>
    [Description("How many channels it carries.")]
    [Range(4, 32)]
    public required int Channels { get; init; }

    /// <summary>The weakest signal that the receiver still understands; null for the usual one at the rate.</summary>
    [Description("The weakest signal that the receiver still understands; without one, the usual one at the rate.")]
    [Range(-140, -40)]
    public DecibelMilliwatts? Sensitivity { get; init; }

    /// <summary>How many steps channels have that have not full resolution, by number.</summary>
    [Description("How many steps a channel has, by its number; a channel without an entry has full resolution.")]
    [Range(2, 1024)]
    public ImmutableDictionary<ChannelNumber, int> ChannelSteps { get; init; } =
        ImmutableDictionary<ChannelNumber, int>.Empty;

    /// <summary>True when channel 5 is kept for arming.</summary>
    [Description("True when the link reserves channel 5 for arming, with two positions only.")]
    public bool ReservesArmChannel { get; init; }

    /// <summary>So many packets go up for each that brings telemetry down; null when none does.</summary>
    [Description("So many packets go up for each that brings telemetry down; without one where none does.")]
    [Range(1, 256)]
    public int? TelemetryEvery { get; init; }
}
