using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A transmitter as a snapshot inside a setup: its controls, its scale and its limits.</summary>
public sealed record Transmitter
{
    /// <summary>The id of the transmitter that this snapshot was taken from.</summary>
    [Description("The id of the transmitter that this snapshot was taken from.")]
    [RegularExpression("^[a-z0-9][a-z0-9-]{0,31}$")]
    public required string Origin { get; init; }

    /// <summary>The transmitter's name.</summary>
    [Description("The transmitter's name.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>Stick mode, 1 to 4.</summary>
    [Description("Stick mode: which hand holds what.")]
    [Range(1, 4)]
    public required int StickMode { get; init; }

    /// <summary>How many microseconds it puts on one percent.</summary>
    [Description("How many microseconds one percent is: wide 5.12, narrow 4, even 5.")]
    public required PulseScale Scale { get; init; }

    /// <summary>How many channels the transmitter can send, 4 to 32.</summary>
    [Description("How many channels the transmitter can send.")]
    [Range(4, 32)]
    public required int Channels { get; init; }

    /// <summary>The largest endpoint that it accepts, in percent either side of the centre.</summary>
    [Description("The largest endpoint that the transmitter accepts, in percent either side of the centre.")]
    [Range(100, 150)]
    public required Percent TravelLimit { get; init; }

    /// <summary>The steps in which it sets endpoints, centres and curve points, in percent.</summary>
    [Description("The steps in which the transmitter sets ends, centres and curve points, in percent.")]
    [Range(0.01, 10)]
    public Percent TravelStep { get; init; } = new(0.1);

    /// <summary>How many points a curve may have, 3 to 17.</summary>
    [Description("How many points a curve may have.")]
    [Range(3, 17)]
    public int CurvePoints { get; init; } = 17;

    /// <summary>How many characters the name of a channel, condition or control may have; 0 when it does not matter.</summary>
    [Description(
        "How many characters the name of a channel, condition or control may have; 0 when it does not matter."
    )]
    [Range(0, 15)]
    public int ShortNames { get; init; }

    /// <summary>True when a forced value goes out as it is; false when the low and high ends hold it too.</summary>
    /// <remarks>Common practice, no source: on most transmitters an override bypasses the ends.</remarks>
    [Description("True when a forced value goes out past the low and high ends, false when the ends hold it.")]
    public bool ForcedPastEnds { get; init; } = true;

    /// <summary>How long it takes at least from switching it off until it sends again, 100 to 60 000 ms. A board that waits longer for
    /// frames does not notice a restart.</summary>
    [Figure(
        Station.Hands,
        "A transmitter sends again after it was switched off at the earliest after",
        ProvenanceKind.OwnAssumption,
        Note = "quicker than one is thought to be"
    )]
    [Description(
        "How long the transmitter takes at least from being switched off until it sends again, in milliseconds."
    )]
    [Range(100, 60000)]
    public Milliseconds RestartTime { get; init; } = new(500);

    /// <summary>A throttle stick below this is low to what the model asks of it, -100 to -50 %, whatever limit a board has.</summary>
    [Figure(Station.Hands, "A throttle stick is low below", ProvenanceKind.CommonPractice)]
    [Description("A throttle stick below this is low to what the model asks of it, in percent.")]
    [Range(-100, -50)]
    public Percent ThrottleLow { get; init; } = new(-98);

    /// <summary>How long it takes to speak a word, 0 to 2000 ms.</summary>
    [Figure(
        Station.Return,
        "A transmitter speaks a word in",
        ProvenanceKind.OwnAssumption,
        Note = "200 words a minute; figures count as they are read: 14.2 is three words"
    )]
    [Description("How long the transmitter takes to speak a word, in milliseconds.")]
    [Range(0, 2000)]
    public Milliseconds WordTime { get; init; } = new(300);

    /// <summary>The controls by id.</summary>
    [Description("The controls by id.")]
    public required ImmutableDictionary<string, Control> Controls { get; init; }

    /// <summary>The controls where the fingers find them: sticks first (roll, pitch, throttle, yaw), then switches, dials,
    /// sliders and inputs, then buttons, each from left to right. This order is the same everywhere.</summary>
    [JsonIgnore]
    public IReadOnlyList<KeyValuePair<string, Control>> Listed =>
        [.. Controls.OrderBy(c => Rank(c.Value)).ThenBy(c => c.Key, StringComparer.Ordinal)];

    /// <summary>The id of the stick that commands <paramref name="axis"/>, or null when there is none.</summary>
    public string? StickOf(StickAxis axis) =>
        Controls
            .Where(c => c.Value is StickControl stick && stick.Axis == axis)
            .Select(c => c.Key)
            .Order(StringComparer.Ordinal)
            .FirstOrDefault();

    private static int Rank(Control control) =>
        control switch
        {
            StickControl stick => (int)stick.Axis,
            SwitchControl { Place: var place } => 100 + (int)place,
            TravellingControl { Place: var place } => 200 + (int)place,
            ButtonControl { Place: var place } => 300 + (int)place,
            _ => 400,
        };
}
