using Zephyros.Core.Board;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path.Trace;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Everything that a page draws of the bench at one moment.</summary>
public sealed record BenchSnapshot
{
    /// <summary>Counts the changes of the bench; the same number is the same picture.</summary>
    public required long Sequence { get; init; }

    /// <summary>The virtual time of the bench, from when it was set up.</summary>
    public required Milliseconds At { get; init; }

    /// <summary>Where each control stands: percent for sticks, dials, sliders and inputs, the position for switches, 0 or 1 for buttons.</summary>
    public required IReadOnlyDictionary<string, double> Settings { get; init; }

    /// <summary>The value after every step of every channel that the model feeds, by channel id.</summary>
    public required IReadOnlyDictionary<string, IReadOnlyList<Percent>> Steps { get; init; }

    /// <summary>Whether each condition of the model holds, by its id.</summary>
    public required IReadOnlyDictionary<string, bool> Conditions { get; init; }

    /// <summary>The id of the active flight state; null when none is.</summary>
    public required string? State { get; init; }

    /// <summary>The id of the override that holds on a channel, by the channel's id; channels that nothing forces are missing.</summary>
    public required IReadOnlyDictionary<string, string> Forced { get; init; }

    /// <summary>What the transmitter has heard last of each sensor, by its id.</summary>
    public required IReadOnlyDictionary<string, Reading> Readings { get; init; }

    /// <summary>What each sensor measures at the craft, by its id; telemetry brings it to the transmitter, or does not.</summary>
    public required IReadOnlyDictionary<string, Reading> Measured { get; init; }

    /// <summary>What else the transmitter knows of each sensor, by its id.</summary>
    public required IReadOnlyDictionary<string, SensorPicture> Sensors { get; init; }

    /// <summary>The flight battery; null while it is not written down.</summary>
    public BatteryPicture? Battery { get; init; }

    /// <summary>What each timer shows, by its id.</summary>
    public required IReadOnlyDictionary<string, TimerPicture> Timers { get; init; }

    /// <summary>What the transmitter sends, channel 1 first.</summary>
    public required IReadOnlyList<Microseconds> Sent { get; init; }

    /// <summary>What the board received last, channel 1 first.</summary>
    public required IReadOnlyList<Microseconds> Received { get; init; }

    /// <summary>The bars of the board's axes, after it has scaled them, by axis; none before the first frame.</summary>
    public required IReadOnlyDictionary<string, BarTravel> Bars { get; init; }

    /// <summary>How far the guided measuring routine is; null while none runs.</summary>
    public RoutineState? Routine { get; init; }

    /// <summary>How far a loss is tried at the bench; null while none is.</summary>
    public LossTrialState? Trial { get; init; }

    /// <summary>True while the radio link is up.</summary>
    public required bool Link { get; init; }

    /// <summary>The link at the distance of the craft; null on the bench, where nothing is lost.</summary>
    public BenchAir? Air { get; init; }

    /// <summary>True while the transmitter misses telemetry; it does so some time after the last packet, and also when the link has none.</summary>
    public required bool TelemetryLost { get; init; }

    /// <summary>True while the craft's battery is connected.</summary>
    public required bool Power { get; init; }

    /// <summary>What the board knows of the world besides the frames.</summary>
    public required Surroundings Surroundings { get; init; }

    /// <summary>What the motors do.</summary>
    public required MotorLevel Motors { get; init; }

    /// <summary>What the board says.</summary>
    public required BoardReport Board { get; init; }

    /// <summary>The followed control along the path.</summary>
    public required PathTrace Trace { get; init; }

    /// <summary>What was said and what happened since the picture before, the oldest first.</summary>
    public required IReadOnlyList<LogEntry> Log { get; init; }
}
