using Zephyros.Core.Craft;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>The charge that went out of the battery on a recorded flight: as it was told, or as the current adds up to.</summary>
internal sealed class FlightCharge
{
    private readonly FlightRecording flight;
    private readonly double[] used;
    private readonly double capacity;

    private FlightCharge(FlightRecording flight, double[] used, double capacity) =>
        (this.flight, this.used, this.capacity) = (flight, used, capacity);

    /// <summary>Adds it up; null when nothing tells it, or the battery is not written down.</summary>
    public static FlightCharge? Of(FlightRecording flight, FlightBattery? battery) =>
        battery is not null && Used(flight) is { } used ? new FlightCharge(flight, used, battery.Capacity.Value) : null;

    /// <summary>What has gone out until a time.</summary>
    public MilliampHours UsedAt(TimeSpan at) => new(used[flight.RowAt(at)]);

    /// <summary>The share of a full battery that was left at a time, 0 to 1.</summary>
    public double LeftAt(TimeSpan at) => Math.Clamp(1 - (UsedAt(at).Value / capacity), 0, 1);

    /// <summary>When no more was left than some charge; null when that never was.</summary>
    public TimeSpan? LeftOnly(MilliampHours charge)
    {
        var row = Array.FindIndex(used, u => capacity - u <= charge.Value);
        return row < 0 ? null : flight.Times[row];
    }

    private static double[]? Used(FlightRecording flight)
    {
        if (flight.Of(ColumnMeaning.ChargeUsed) is { } told)
            return Filled(told);
        if (flight.Of(ColumnMeaning.Current) is not { } current)
            return null;
        var taken = new double[flight.Times.Length];
        var flows = 0.0;
        for (var row = 1; row < taken.Length; row++)
        {
            if (!double.IsNaN(current.Values[row - 1]))
                flows = current.Values[row - 1];
            taken[row] =
                taken[row - 1]
                + BatteryModel.Taken(new Amperes(flows), flight.Times[row] - flight.Times[row - 1]).Value;
        }

        return taken;
    }

    // What was told last holds until it is told anew.
    private static double[] Filled(FlightSeries series)
    {
        var filled = series.Values.ToArray();
        for (var row = 0; row < filled.Length; row++)
            if (double.IsNaN(filled[row]))
                filled[row] = row > 0 ? filled[row - 1] : 0;
        return filled;
    }
}
