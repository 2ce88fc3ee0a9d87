using Zephyros.Core.Flights.Table;

namespace Zephyros.Core.Flights;

/// <summary>When the load was high on a recorded flight, by its current or else its throttle.</summary>
internal sealed class FlightLoad
{
    // So many values tell what is usual.
    private const int Looked = 10_000;

    // What bursts reach, and single spikes pass.
    private const double Most = 0.98;

    private readonly FlightRecording flight;
    private readonly FlightSeries? load;
    private readonly double high;

    /// <summary>Looks at a flight.</summary>
    public FlightLoad(FlightRecording flight)
    {
        this.flight = flight;
        load = flight.Of(ColumnMeaning.Current) ?? flight.Of(ColumnMeaning.Throttle);
        high = load is null ? 0 : Middle(load);
    }

    /// <summary>True when something tells the load.</summary>
    public bool IsKnown => load is not null;

    /// <summary>True when the load was high at a time, or within some time before; always when nothing tells it.</summary>
    public bool WasHigh(TimeSpan at, TimeSpan within)
    {
        if (load is null)
            return true;
        var last = flight.RowAt(at);
        // What a row says is so until the next one.
        for (var row = last; row >= 0 && (row == last || flight.Times[row + 1] >= at - within); row--)
            if (load.Values[row] >= high)
                return true;
        return false;
    }

    // Halfway between what usually flows and the most: above it the load is high.
    private static double Middle(FlightSeries load)
    {
        var values = new List<double>();
        for (var row = 0; row < load.Values.Length; row += Math.Max(1, load.Values.Length / Looked))
            if (!double.IsNaN(load.Values[row]))
                values.Add(load.Values[row]);
        if (values.Count == 0)
            return double.PositiveInfinity;
        values.Sort();
        return (values[values.Count / 2] + values[(int)(Most * (values.Count - 1))]) / 2;
    }
}
