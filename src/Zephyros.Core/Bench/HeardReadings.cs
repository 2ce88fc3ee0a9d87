using Zephyros.Core.Model;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>What the transmitter heard of each sensor: the last reading and when it came, and the lowest and highest plausible ones since it
/// was told to begin anew.</summary>
/// <param name="sensors">The sensors of the compiled model, in its order.</param>
internal sealed class HeardReadings(IReadOnlyList<KeyValuePair<string, Sensor>> sensors)
{
    private readonly KeyValuePair<string, Sensor>[] sensors = [.. sensors];
    private readonly Known[] known = new Known[sensors.Count];

    /// <summary>A reading comes.</summary>
    /// <param name="place">The sensor's place in the model.</param>
    /// <param name="reading">The reading.</param>
    /// <param name="now">The time.</param>
    public void Take(int place, Reading reading, TimeSpan now)
    {
        ref var own = ref known[place];
        (own.At, own.Last) = (now, reading);
        if (!IsPlausible(sensors[place].Value, reading))
            return;
        own.Lowest = own.Lowest?.AtMost(reading) ?? reading;
        own.Highest = own.Highest?.AtLeast(reading) ?? reading;
    }

    /// <summary>What is known of a sensor: when it was heard last, the lowest and the highest; null where nothing came.</summary>
    public (TimeSpan? At, Reading? Lowest, Reading? Highest) Of(string sensor)
    {
        var own = known[PlaceOf(sensor)];
        return (own.At, own.Lowest, own.Highest);
    }

    /// <summary>A reading as it is spoken; null when nothing came of its sensor.</summary>
    public Reading? Spoken(SpokenValue value)
    {
        var own = known[PlaceOf(value.Sensor)];
        return value.Reading switch
        {
            SpokenReading.Now => own.At is null ? null : own.Last,
            SpokenReading.Lowest => own.Lowest,
            SpokenReading.Highest => own.Highest,
        };
    }

    /// <summary>Begins anew to keep the lowest and highest.</summary>
    public void ResetExtremes()
    {
        foreach (ref var own in known.AsSpan())
            (own.Lowest, own.Highest) = (null, null);
    }

    /// <summary>The transmitter was switched on.</summary>
    public void Forget() => Array.Clear(known);

    /// <summary>Goes on where others were, for the sensors that are still there.</summary>
    public void GoOnAfter(HeardReadings before)
    {
        for (var i = 0; i < known.Length; i++)
            if (before.PlaceOf(sensors[i].Key) is >= 0 and var place)
                known[i] = before.known[place];
    }

    private int PlaceOf(string id) => Array.FindIndex(sensors, s => s.Key == id);

    // A board that has not measured yet reports 0 V.
    private static bool IsPlausible(Sensor sensor, Reading reading) =>
        reading >= sensor.Lowest
        && reading <= sensor.Highest
        && (sensor.Measures != SensorSubject.Voltage || reading.Value > 0);

    private struct Known
    {
        public TimeSpan? At;
        public Reading Last;
        public Reading? Lowest;
        public Reading? Highest;
    }
}
