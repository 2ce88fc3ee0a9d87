using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>When the transmitter heard each sensor last, and the lowest and highest plausible readings since it was told to begin anew.</summary>
internal sealed class HeardReadings(IReadOnlyList<KeyValuePair<string, Sensor>> sensors)
{
    private readonly Dictionary<string, Sensor> sensors = new(sensors, StringComparer.Ordinal);
    private readonly Dictionary<string, TimeSpan> times = new(StringComparer.Ordinal);
    private readonly Dictionary<string, (Reading Lowest, Reading Highest)> extremes = new(StringComparer.Ordinal);

    /// <summary>A reading comes.</summary>
    public void Take(string sensor, Reading reading, TimeSpan now)
    {
        times[sensor] = now;
        if (!IsPlausible(sensors[sensor], reading))
            return;
        extremes[sensor] = extremes.TryGetValue(sensor, out var so)
            ? (so.Lowest.AtMost(reading), so.Highest.AtLeast(reading))
            : (reading, reading);
    }

    /// <summary>What is known of a sensor: when it was heard last, the lowest and the highest; null where nothing came.</summary>
    public (TimeSpan? At, Reading? Lowest, Reading? Highest) Of(string sensor)
    {
        TimeSpan? at = times.TryGetValue(sensor, out var time) ? time : null;
        return extremes.TryGetValue(sensor, out var so) ? (at, so.Lowest, so.Highest) : (at, null, null);
    }

    /// <summary>A reading as it is spoken; null when nothing came of its sensor.</summary>
    /// <param name="value">Which reading.</param>
    /// <param name="now">The last reading of the sensor.</param>
    public Reading? Spoken(SpokenValue value, Func<string, double> now)
    {
        var (at, lowest, highest) = Of(value.Sensor);
        return value.Reading switch
        {
            SpokenReading.Now => at is null ? null : new Reading(now(value.Sensor)),
            SpokenReading.Lowest => lowest,
            SpokenReading.Highest => highest,
        };
    }

    /// <summary>Begins anew to keep the lowest and highest.</summary>
    public void ResetExtremes() => extremes.Clear();

    /// <summary>The transmitter was switched on.</summary>
    public void Forget()
    {
        times.Clear();
        extremes.Clear();
    }

    /// <summary>Goes on where others were, for the sensors that are still there.</summary>
    public void GoOnAfter(HeardReadings before)
    {
        foreach (var id in sensors.Keys)
        {
            if (before.times.TryGetValue(id, out var time))
                times[id] = time;
            if (before.extremes.TryGetValue(id, out var so))
                extremes[id] = so;
        }
    }

    // A board that has not measured yet reports 0 V.
    private static bool IsPlausible(Sensor sensor, Reading reading) =>
        reading >= sensor.Lowest
        && reading <= sensor.Highest
        && (sensor.Measures != SensorSubject.Voltage || reading.Value > 0);
}
