using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>The transmitter's model memory for one craft: its channels, the logic behind them and what is forced.</summary>
public sealed record TransmitterModel
{
    /// <summary>The name under which the transmitter stores the model.</summary>
    [Description("The name under which the transmitter stores the model.")]
    [StringLength(15, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>The channels by id. The id stays when the channel gets another number.</summary>
    [Description("The channels by id; the id stays when the channel gets another number.")]
    public required ImmutableDictionary<string, Channel> Channels { get; init; }

    /// <summary>The trims by the control's id: what is added to the control wherever it is taken.</summary>
    [Description("The trims in percent by the control's id: what is added to a control wherever a chain takes it.")]
    [Range(-100, 100)]
    public ImmutableDictionary<string, Percent> Trims { get; init; } = ImmutableDictionary<string, Percent>.Empty;

    /// <summary>The conditions by id.</summary>
    [Description("The conditions by id.")]
    public ImmutableDictionary<string, Condition> Conditions { get; init; } =
        ImmutableDictionary<string, Condition>.Empty;

    /// <summary>The overrides by id.</summary>
    [Description("The overrides by id.")]
    public ImmutableDictionary<string, Override> Overrides { get; init; } = ImmutableDictionary<string, Override>.Empty;

    /// <summary>The announcements by id.</summary>
    [Description("What the transmitter says aloud, by id.")]
    public ImmutableDictionary<string, Announcement> Announcements { get; init; } =
        ImmutableDictionary<string, Announcement>.Empty;

    /// <summary>The flight states by id.</summary>
    [Description("The flight states by id.")]
    public ImmutableDictionary<string, FlightState> States { get; init; } =
        ImmutableDictionary<string, FlightState>.Empty;

    /// <summary>The telemetry sensors by id.</summary>
    [Description("The telemetry sensors that the model knows, by id.")]
    public ImmutableDictionary<string, Sensor> Sensors { get; init; } = ImmutableDictionary<string, Sensor>.Empty;

    /// <summary>True while the transmitter searches for sensors: it takes in whatever comes.</summary>
    [Description("True while the transmitter searches for sensors: it takes in whatever comes.")]
    public bool Searching { get; init; }

    /// <summary>The timers by id.</summary>
    [Description("The timers by id.")]
    public ImmutableDictionary<string, FlightTimer> Timers { get; init; } =
        ImmutableDictionary<string, FlightTimer>.Empty;

    /// <summary>The limits that stand elsewhere at the transmitter for a test: where they stand, by the id of their condition, until the old one
    /// is read back there.</summary>
    [Description(
        "The limits that stand elsewhere at the transmitter for a test: where they stand, by the id of their condition, until the old one is read back there."
    )]
    [Range(-Sensor.Furthest, Sensor.Furthest)]
    public ImmutableDictionary<string, Reading> Raised { get; init; } = ImmutableDictionary<string, Reading>.Empty;

    /// <summary>The flight states in the order in which they are asked: by order, ties by id, those without a condition last.</summary>
    public IReadOnlyList<KeyValuePair<string, FlightState>> StatesByPriority() =>
        [
            .. States
                .OrderBy(s => s.Value.When is null)
                .ThenBy(s => s.Value.Order)
                .ThenBy(s => s.Key, StringComparer.Ordinal),
        ];

    /// <summary>The enabled and disabled overrides of a channel, the winning one first.</summary>
    public IReadOnlyList<KeyValuePair<string, Override>> OverridesOf(string channelId) =>
        [
            .. Overrides
                .Where(o => o.Value.Channel == channelId)
                .OrderBy(o => o.Value.Order)
                .ThenBy(o => o.Key, StringComparer.Ordinal),
        ];
}
