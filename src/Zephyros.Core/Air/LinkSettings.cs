using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>The radio link as far as its channels go: how many it carries and how often.</summary>
public sealed record LinkSettings
{
    /// <summary>What the pilot calls the radio system.</summary>
    [Description("What the pilot calls the radio system.")]
    [StringLength(40)]
    public string Alias { get; init; } = "";

    /// <summary>How many channels the link carries, 4 to 32; later ones do not arrive.</summary>
    [Description("How many channels the link carries; later ones do not arrive.")]
    [Range(4, 32)]
    public required int Channels { get; init; }

    /// <summary>Packets per second.</summary>
    [Description("Packets per second.")]
    [Range(10, 1000)]
    public required Hertz PacketRate { get; init; }

    /// <summary>The radio frequency, 100 to 6000 MHz. National law decides which is allowed.</summary>
    [Description("The radio frequency, in megahertz. National law decides which is allowed.")]
    [Range(100, 6000)]
    public Megahertz Frequency { get; init; } = new(2440);

    /// <summary>The power of the transmitter; 100 mW is normally plenty (common practice, no source). National law decides.</summary>
    [Description("The power of the transmitter, in milliwatts. National law decides how much is allowed.")]
    [Range(1, 2000)]
    public Milliwatts Power { get; init; } = new(100);

    /// <summary>The gains of both antennas together, less what cables and plugs lose.</summary>
    [Description("The gains of both antennas together, less what cables and plugs lose, in decibels.")]
    [Range(-30, 40)]
    public Decibels AntennaGains { get; init; }

    /// <summary>The weakest signal that the receiver still understands; null for the usual one at the packet rate.</summary>
    [Description(
        "The weakest signal that the receiver still understands; without one, the usual one at the packet rate."
    )]
    [Range(-140, -40)]
    public DecibelMilliwatts? Sensitivity { get; init; }

    /// <summary>Below this link quality the pilot is warned; from memory 75 %.</summary>
    [Description("Below this link quality the pilot is warned, in percent of packets.")]
    [Range(1, 99)]
    public Percent WarnBelow { get; init; } = new(75);

    /// <summary>Below this link quality the warning is urgent; from memory 50 %.</summary>
    [Description("Below this link quality the warning is urgent, in percent of packets.")]
    [Range(1, 99)]
    public Percent UrgentBelow { get; init; } = new(50);

    /// <summary>What the receiver does while nothing arrives by radio.</summary>
    [Description("What the receiver does on its signal wire while nothing arrives by radio.")]
    public ReceiverLoss OnLoss { get; init; }

    /// <summary>The preset of each channel by its number, for <see cref="ReceiverLoss.Preset"/>; a channel without one keeps its last value.</summary>
    [Description(
        "The preset of each channel by its number, in microseconds; a channel without one keeps its last value."
    )]
    [Range(800, 2200)]
    public ImmutableDictionary<string, Microseconds> Presets { get; init; } =
        ImmutableDictionary<string, Microseconds>.Empty;

    /// <summary>True when the link brings telemetry back: what the board reports of itself, and its sensors.</summary>
    [Description("True when the link brings telemetry back to the transmitter.")]
    public bool Telemetry { get; init; } = true;

    /// <summary>True when the link carries channel 5 as a pure on and off for arming: nothing else may share it.</summary>
    [Description("True when the link reserves channel 5 for arming, with two positions only.")]
    public bool ReservesArmChannel { get; init; }
}
