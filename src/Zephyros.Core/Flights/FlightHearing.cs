using Zephyros.Core.Flights.Table;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Return;

namespace Zephyros.Core.Flights;

/// <summary>How the readings of a recorded flight come to the transmitter: step by step, each at its time.</summary>
internal sealed class FlightHearing
{
    private readonly FlightRecording flight;
    private readonly ReturnPlan back;

    /// <summary>Takes a flight for a setup.</summary>
    public FlightHearing(SignalPlan plan, FlightRecording flight, HearingWay way)
    {
        (this.flight, back) = (flight, ReturnPlan.Of(plan.Setup));
        AtCraft = way switch
        {
            HearingWay.AtTransmitter => false,
            HearingWay.AtCraft => true,
            HearingWay.ByRows => 2 * flight.Step <= back.Interval * Math.Max(1, back.BoardMessages.Count),
        };
        Sensors = [.. plan.Model.Sensors.Select((s, i) => Of(plan, s.Key, s.Value, i)).OfType<HeardSensor>()];
        Never = AtCraft && !plan.Setup.Air.Telemetry;
        Steps =
            Never ? 0
            : AtCraft ? (int)Math.Min(int.MaxValue - 1, flight.End.Ticks / back.Interval.Ticks)
            : flight.Times.Length;
    }

    /// <summary>True when telemetry brings the readings down; false when the rows are what the transmitter heard.</summary>
    public bool AtCraft { get; }

    /// <summary>True when telemetry would have to bring it all, and is off.</summary>
    public bool Never { get; }

    /// <summary>The sensors of which something was recorded, and comes.</summary>
    public IReadOnlyList<HeardSensor> Sensors { get; }

    /// <summary>How many steps there are: packets of telemetry, or rows.</summary>
    public int Steps { get; }

    /// <summary>The flight.</summary>
    public FlightRecording Flight => flight;

    /// <summary>Without a step for so long the transmitter misses telemetry.</summary>
    public TimeSpan MissedAfter => ReturnPlan.MissedAfter(AtCraft ? back.Interval : flight.Step);

    /// <summary>When a step comes.</summary>
    public TimeSpan At(int step) => AtCraft ? back.Interval * (step + 1) : flight.Times[step];

    /// <summary>The row that a step brings; null when the recording has nothing there.</summary>
    /// <param name="step">The step.</param>
    /// <param name="from">A row that is not after it, from which it is looked for.</param>
    public int? Row(int step, int from)
    {
        if (!AtCraft)
            return step;
        var (at, row) = (At(step), from);
        while (row + 1 < flight.Times.Length && flight.Times[row + 1] <= at)
            row++;
        return at - flight.Times[row] <= flight.Gap ? row : null;
    }

    /// <summary>The message of the board that a step brings, where telemetry brings the readings down; null for none.</summary>
    public ReturnMessage? Message(int step) => AtCraft ? back.At(step) : null;

    /// <summary>True when a step brings a sensor.</summary>
    public bool Brings(ReturnMessage? message, HeardSensor sensor) =>
        !AtCraft || sensor.Message is null || sensor.Message == message;

    private HeardSensor? Of(SignalPlan plan, string id, Sensor sensor, int place)
    {
        var way = back.Sensors[id];
        if (Recorded(plan, sensor) is not var (series, factor) || (AtCraft && !way.Comes))
            return null;
        return new HeardSensor(
            id,
            place,
            sensor,
            series,
            factor,
            way.Message is ReturnMessage.Link ? null : way.Message
        );
    }

    // A voltage of the receiver or the transmitter is another one.
    private (FlightSeries Series, double Factor)? Recorded(SignalPlan plan, Sensor sensor)
    {
        if (sensor.MeasuredBy != sensor.Measures.UsualOrigin())
            return null;
        var unit = sensor.Measures.UnitsPer(sensor.Unit);
        (FlightSeries, double)? Of(ColumnMeaning meaning, double factor) =>
            flight.Of(meaning) is { } series ? (series, factor) : null;
        return sensor.Measures switch
        {
            SensorSubject.Voltage => Of(ColumnMeaning.Voltage, unit)
                ?? Of(ColumnMeaning.CellVoltage, plan.Setup.Craft.Cells * unit),
            SensorSubject.Current => Of(ColumnMeaning.Current, unit),
            SensorSubject.ChargeUsed => Of(ColumnMeaning.ChargeUsed, unit),
            SensorSubject.LinkQuality => Of(ColumnMeaning.LinkQuality, unit),
            SensorSubject.DownLinkQuality => Of(ColumnMeaning.DownLinkQuality, unit),
            SensorSubject.Strength => flight.Of(ColumnMeaning.Strength)?.Unit == sensor.Unit
                ? Of(ColumnMeaning.Strength, unit)
                : null,
            SensorSubject.Height => Of(ColumnMeaning.Height, unit),
            SensorSubject.Distance => Of(ColumnMeaning.Distance, unit),
            SensorSubject.Satellites => Of(ColumnMeaning.Satellites, unit),
            SensorSubject.Other => null,
        };
    }
}
