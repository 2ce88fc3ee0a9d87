using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>The flight controller's settings as far as the receiver's signal meets them.</summary>
public sealed record FlightBoard
{
    /// <summary>What the pilot calls the board.</summary>
    [Description("What the pilot calls the board.")]
    [StringLength(40)]
    public string Alias { get; init; } = "";

    /// <summary>The serial ports by id.</summary>
    [Description("The serial ports by id.")]
    public required ImmutableDictionary<string, SerialPort> Ports { get; init; }

    /// <summary>The one port that the receiver is soldered to.</summary>
    [Description("The id of the one port that the receiver is soldered to.")]
    [StringLength(32, MinimumLength = 1)]
    public required string ReceiverPort { get; init; }

    /// <summary>The axis that the board reads from each of channels 1 to 4.</summary>
    [Description("The axis that the board reads from each of channels 1 to 4: A roll, E pitch, T throttle, R yaw.")]
    [RegularExpression("^[AETR]{4}$")]
    public required StickOrder Map { get; init; }

    /// <summary>The measured travel of stick channels by axis, which the board scales to 1000 to 2000 µs; an axis without one is taken as
    /// it arrives.</summary>
    [Description(
        "The measured travel of stick channels by axis (roll, pitch, throttle, yaw), which the board scales to 1000 to 2000."
    )]
    public ImmutableDictionary<StickAxis, ChannelSpan> Spans { get; init; } =
        ImmutableDictionary<StickAxis, ChannelSpan>.Empty;

    /// <summary>What the board takes for a centred roll, pitch or yaw stick, after scaling.</summary>
    [Description("What the board takes for a centred stick, in microseconds, after scaling.")]
    [Range(1400, 1600)]
    public Microseconds Centre { get; init; } = Microseconds.Neutral;

    /// <summary>So far from its centre a roll, pitch or yaw stick does nothing.</summary>
    [Description("So far from its centre a stick does nothing, in microseconds.")]
    [Range(0, 100)]
    public Microseconds Deadband { get; init; }

    /// <summary>How far what arrives on a channel may lie from what the model works out, to either side, by channel number, as it was
    /// measured; a channel without an entry keeps to it.</summary>
    [Description(
        "How far what arrives on a channel may lie from what the model works out, to either side, by channel number, in microseconds."
    )]
    [Range(0, 100)]
    public ImmutableDictionary<ChannelNumber, Microseconds> Wander { get; init; } =
        ImmutableDictionary<ChannelNumber, Microseconds>.Empty;

    /// <summary>How this board names the spans that it is told.</summary>
    [Description("How the board names the spans that it is told.")]
    public SpanNumbering SpanNumbering { get; init; }

    /// <summary>Below this, after scaling, the board takes the throttle for low. The limit itself is not low.</summary>
    [Description("Below this value the board takes the throttle for low, in microseconds.")]
    [Range(880, 1500)]
    public required Microseconds ThrottleLow { get; init; }

    /// <summary>How long good frames must be missing until the board knows that the signal is lost.</summary>
    /// <remarks>From memory: 100 to 300 ms.</remarks>
    [Description(
        "How long good frames must be missing until the board knows that the signal is lost, in milliseconds."
    )]
    [Range(20, 5000)]
    public required Milliseconds SignalTimeout { get; init; }

    /// <summary>The rate of turn at full stick.</summary>
    [Description("The rate of turn at full stick, in degrees per second.")]
    [Range(10, 2000)]
    public required DegreesPerSecond MaximumRate { get; init; }

    /// <summary>How much of the rate curve is the cube of the stick: 0 is a straight line, more is softer about the centre.</summary>
    /// <remarks>rate = maximum (x (1 - e) + e x^3), x the stick from -1 to 1: common practice, no source.</remarks>
    [Description("How much of the rate curve is the cube of the stick, in percent: 0 is a straight line.")]
    [Range(0, 100)]
    public Percent Expo { get; init; }

    /// <summary>Above this, on the wire, the controller becomes active after arming in two stages; null when the board has no such limit.</summary>
    [Description(
        "Above this throttle value on the wire the controller becomes active after arming in two stages, in microseconds."
    )]
    [Range(900, 1500)]
    public Microseconds? ActivationLimit { get; init; }

    /// <summary>So far from its centre a roll, pitch or yaw stick counts as deflected.</summary>
    [Figure(Station.Board, "A stick counts as deflected off its centre by", ProvenanceKind.FromMemory)]
    [Description("So far from its centre a roll, pitch or yaw stick counts as deflected, in microseconds.")]
    [Range(5, 400)]
    public Microseconds Deflected { get; init; } = new(50);

    /// <summary>What the board does after it knows that the signal is lost.</summary>
    [Description("What the board does after it knows that the signal is lost.")]
    public LossSettings Loss { get; init; } = new();

    /// <summary>What the board asks for before it arms, and how it disarms.</summary>
    [Description("What the board asks for before it arms, and how it disarms.")]
    public ArmGuards Guards { get; init; } = new();

    /// <summary>What the board measures besides: each is a reading that it can report.</summary>
    [Description("What the board is equipped to measure and report.")]
    public BoardEquipment Equipment { get; init; } = new();

    /// <summary>How what the board reports comes to the receiver, which sends it down; null when it was not looked at. It is then taken to
    /// come.</summary>
    [Description("How what the board reports comes to the receiver; without one it was not looked at.")]
    public ReportWay? Reports { get; init; }

    /// <summary>The board's functions by id; at most one of them arms.</summary>
    [Description("The board's functions by id; at most one of them arms.")]
    public required ImmutableDictionary<string, BoardFunction> Functions { get; init; }

    /// <summary>The arm function, or null when the board has none and so never arms.</summary>
    [JsonIgnore]
    public KeyValuePair<string, BoardFunction>? Arm =>
        Functions
            .Where(f => f.Value.Kind == FunctionKind.Arm)
            .Select(f => (KeyValuePair<string, BoardFunction>?)f)
            .FirstOrDefault();

    /// <summary>How far what arrives on a channel may lie from what the model works out, to either side.</summary>
    public Microseconds WanderOn(ChannelNumber channel) => Wander.GetValueOrDefault(channel);

    /// <summary>What the board makes of a value of a stick channel.</summary>
    public Microseconds Scaled(StickAxis axis, Microseconds received) =>
        Spans.TryGetValue(axis, out var span) ? span.Scale(received) : received;

    /// <summary>The value on the wire of which the board makes a given one.</summary>
    public Microseconds OnWire(StickAxis axis, Microseconds scaled) =>
        Spans.TryGetValue(axis, out var span) ? span.Unscale(scaled) : scaled;
}
