using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>The radio link: who speaks to whom, what it carries and how often, and what the receiver does without it.</summary>
public sealed record LinkSettings
{
    /// <summary>What the pilot calls the radio system.</summary>
    [Description("What the pilot calls the radio system.")]
    [StringLength(40)]
    public string Alias { get; init; } = "";

    /// <summary>The id of the profile that the link was set up from; empty when it was set up by hand.</summary>
    [Description("The id of the profile that the link was set up from; empty when it was set up by hand.")]
    [StringLength(40)]
    public string Profile { get; init; } = "";

    /// <summary>The radio modules of the transmitter by id; exactly one of them should be on. Empty when they are not written down.</summary>
    [Description("The radio modules of the transmitter by id; exactly one of them should be on.")]
    public ImmutableDictionary<string, RadioModule> Modules { get; init; } =
        ImmutableDictionary<string, RadioModule>.Empty;

    /// <summary>The receiver on the craft.</summary>
    [Description("The receiver on the craft.")]
    public ReceiverUnit Receiver { get; init; } = new();

    /// <summary>Where the craft flies, as far as bands go by region. National law decides.</summary>
    [Description("The region of the radio regulations where the craft flies. National law decides.")]
    public LinkRegion Region { get; init; }

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

    /// <summary>The power of the transmitter; 100 mW is normally plenty. National law decides.</summary>
    [Figure(
        Station.Air,
        "A power that is normally plenty",
        ProvenanceKind.CommonPractice,
        Note = "national law decides how much is allowed"
    )]
    [Description("The power of the transmitter, in milliwatts. National law decides how much is allowed.")]
    [Range(1, 2000)]
    public Milliwatts Power { get; init; } = new(100);

    /// <summary>The gains of both antennas together, less what cables and plugs lose.</summary>
    [Description("The gains of both antennas together, less what cables and plugs lose, in decibels.")]
    [Range(-30, 40)]
    public Decibels AntennaGains { get; init; }

    /// <summary>What ground, trees and bodies take besides free space, as a range check measured it; null while none was made.</summary>
    [Description("What the surroundings take besides free space, in decibels, as a range check measured it.")]
    [Range(0, 80)]
    public Decibels? Allowance { get; init; }

    /// <summary>The weakest signal that the receiver still understands; null for the usual one at the packet rate.</summary>
    [Description(
        "The weakest signal that the receiver still understands; without one, the usual one at the packet rate."
    )]
    [Range(-140, -40)]
    public DecibelMilliwatts? Sensitivity { get; init; }

    /// <summary>Below this link quality the pilot is warned.</summary>
    [Figure(Station.Air, "The first warning comes below a link quality of", ProvenanceKind.FromMemory)]
    [Description("Below this link quality the pilot is warned, in percent of packets.")]
    [Range(1, 99)]
    public Percent WarnBelow { get; init; } = new(75);

    /// <summary>Below this link quality the warning is urgent.</summary>
    [Figure(Station.Air, "The urgent warning comes below a link quality of", ProvenanceKind.FromMemory)]
    [Description("Below this link quality the warning is urgent, in percent of packets.")]
    [Range(1, 99)]
    public Percent UrgentBelow { get; init; } = new(50);

    /// <summary>How many steps the link gives to a channel, by the channel's number; a channel without an entry has full resolution.</summary>
    [Description(
        "How many steps the link gives to a channel, by the channel's number; a channel without an entry has full resolution."
    )]
    [Range(2, 1024)]
    public ImmutableDictionary<ChannelNumber, int> ChannelSteps { get; init; } =
        ImmutableDictionary<ChannelNumber, int>.Empty;

    /// <summary>What the receiver does while nothing arrives by radio.</summary>
    [Description("What the receiver does on its signal wire while nothing arrives by radio.")]
    public ReceiverLoss OnLoss { get; init; }

    /// <summary>How long the receiver goes on with the last values after the last packet, until it does what <see cref="OnLoss"/> says;
    /// null while nobody has measured it.</summary>
    [Description(
        "How long the receiver goes on with the last values after the last packet, in milliseconds; without it, the usual time."
    )]
    [Range(100, 10000)]
    public Milliseconds? GivesUpAfter { get; init; }

    /// <summary>Without a packet for so long a receiver whose time nobody has measured takes the signal for lost.</summary>
    [Figure(Station.Air, "A receiver takes the signal for lost without a packet for", ProvenanceKind.OwnAssumption)]
    public static readonly Milliseconds UsuallyGivesUp = new(300);

    /// <summary>Without a packet for so long the receiver takes the signal for lost; the usual time while it is not measured.</summary>
    [JsonIgnore]
    public Milliseconds GivesUp => GivesUpAfter ?? UsuallyGivesUp;

    /// <summary>The preset of each channel by its number, for <see cref="ReceiverLoss.Preset"/>; a channel without one keeps its last value.</summary>
    [Description(
        "The preset of each channel by its number, in microseconds; a channel without one keeps its last value."
    )]
    [Range(800, 2200)]
    public ImmutableDictionary<ChannelNumber, Microseconds> Presets { get; init; } =
        ImmutableDictionary<ChannelNumber, Microseconds>.Empty;

    /// <summary>The craft whose behaviour on a loss came along when this one was copied from it; empty once it is said to hold here too.</summary>
    [Description(
        "The craft whose behaviour on a loss came along when this one was copied from it; empty once it is said to hold here too."
    )]
    [StringLength(40)]
    public string LossCopiedFrom { get; init; } = "";

    /// <summary>True when the link brings telemetry back: what the board reports of itself, and its sensors.</summary>
    [Description("True when the link brings telemetry back to the transmitter.")]
    public bool Telemetry { get; init; } = true;

    /// <summary>So many packets go up for each that brings telemetry down; null when it is not known.</summary>
    [Description("So many packets go up for each that brings telemetry down; without one where it is not known.")]
    [Range(1, 256)]
    public int? TelemetryEvery { get; init; }

    /// <summary>True when the link carries channel 5 as a pure on and off for arming: nothing else may share it.</summary>
    [Description("True when the link reserves channel 5 for arming, with two positions only.")]
    public bool ReservesArmChannel { get; init; }

    /// <summary>How many steps a channel has on this link, 2 or more, or <see cref="LinkSteps.Full"/>.</summary>
    /// <param name="channel">Its number, 1 and up.</param>
    public int StepsOn(int channel) =>
        ChannelSteps.TryGetValue(new ChannelNumber(channel), out var steps) ? steps
        : ReservesArmChannel && channel == ArmChannel ? 2
        : LinkSteps.Full;

    [Figure(Station.Air, "Some links reserve for arming, as on and off, channel", ProvenanceKind.CommonPractice)]
    private const int ArmChannel = 5;
}
