using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>Something that comes into a model on a recorded flight.</summary>
internal readonly record struct ReplayEvent
{
    private readonly Kind kind;
    private readonly double value;

    private ReplayEvent(TimeSpan at, Kind kind, int place, double value, bool matters) =>
        (At, this.kind, Place, this.value, Matters) = (at, kind, place, value, matters);

    private enum Kind
    {
        Reading,
        Telemetry,
        Control,
    }

    /// <summary>When.</summary>
    public TimeSpan At { get; }

    /// <summary>The place of the sensor or control among those of the model.</summary>
    public int Place { get; }

    /// <summary>True when it may make a difference to the model.</summary>
    public bool Matters { get; }

    /// <summary>The reading, where one came; null when it is something else.</summary>
    public Reading? Heard => kind == Kind.Reading ? new Reading(value) : null;

    /// <summary>True when a hand does it.</summary>
    public bool ByHand => kind == Kind.Control;

    /// <summary>A reading comes.</summary>
    public static ReplayEvent Read(TimeSpan at, int sensor, double reading, bool matters) =>
        new(at, Kind.Reading, sensor, reading, matters);

    /// <summary>Telemetry is missed, or comes again.</summary>
    public static ReplayEvent Telemetry(TimeSpan at, bool lost) => new(at, Kind.Telemetry, 0, lost ? 1 : 0, true);

    /// <summary>A control stands elsewhere.</summary>
    public static ReplayEvent Moved(TimeSpan at, int control, Percent value) =>
        new(at, Kind.Control, control, value.Value, true);

    /// <summary>Puts it into a model, without working that out.</summary>
    public void Put(ReplayModel model)
    {
        switch (kind)
        {
            case Kind.Reading:
                model.Take(Place, value);
                break;
            case Kind.Telemetry:
                model.TelemetryLost = value != 0;
                break;
            case Kind.Control:
                model.Put(Place, new Percent(value));
                break;
        }
    }
}
