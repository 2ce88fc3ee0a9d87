namespace Zephyros.Core.Flights;

/// <summary>A stretch of a recorded flight as it is drawn: no more points than there is room for, and no peak lost.</summary>
/// <param name="Seconds">When each point is, since the first row.</param>
/// <param name="Series">What was recorded.</param>
public sealed record FlightDrawing(IReadOnlyList<double> Seconds, IReadOnlyList<DrawnSeries> Series)
{
    private const int PointsInBin = 2;

    /// <summary>Draws a stretch.</summary>
    /// <param name="flight">The flight.</param>
    /// <param name="from">Where it begins.</param>
    /// <param name="to">Where it ends, after its beginning.</param>
    /// <param name="bins">How many stretches each give their lowest and highest value.</param>
    public static FlightDrawing Of(FlightRecording flight, TimeSpan from, TimeSpan to, int bins)
    {
        var (first, last) = (flight.RowAt(from), flight.RowAt(to));
        // One row more on both sides, so that lines go to the rims.
        last = Math.Min(last + 1, flight.Times.Length - 1);
        return last - first < bins * PointsInBin ? Rows(flight, first, last) : Bins(flight, first, last, bins);
    }

    private static FlightDrawing Rows(FlightRecording flight, int first, int last)
    {
        var seconds = new List<double>();
        var values = flight.Series.Select(_ => new List<double?>()).ToArray();
        for (var row = first; row <= last; row++)
        {
            if (row > first && flight.Times[row] - flight.Times[row - 1] > flight.Gap)
                AddGap(flight, row, seconds, values);
            seconds.Add(flight.Times[row].TotalSeconds);
            for (var i = 0; i < values.Length; i++)
                values[i].Add(OrNull(flight.Series[i].Values[row]));
        }

        return new(seconds, Named(flight, values));
    }

    private static DrawnSeries[] Named(FlightRecording flight, List<double?>[] values) =>
        [.. flight.Series.Zip(values, (series, own) => new DrawnSeries(series.Meaning, series.Unit, own))];

    private static void AddGap(FlightRecording flight, int row, List<double> seconds, List<double?>[] values)
    {
        seconds.Add((flight.Times[row - 1] + flight.Step).TotalSeconds);
        foreach (var own in values)
            own.Add(null);
    }

    // Of each bin the lowest and the highest of every value, the one that came first first.
    private static FlightDrawing Bins(FlightRecording flight, int first, int last, int bins)
    {
        var seconds = new List<double>();
        var values = flight.Series.Select(_ => new List<double?>()).ToArray();
        var rows = last - first + 1;
        for (var bin = 0; bin < bins; bin++)
        {
            var (begin, end) = (first + (int)((long)rows * bin / bins), first + (int)((long)rows * (bin + 1) / bins));
            if (begin > first && flight.Times[begin] - flight.Times[begin - 1] > flight.Gap)
                AddGap(flight, begin, seconds, values);
            seconds.Add(flight.Times[begin].TotalSeconds);
            seconds.Add(flight.Times[(begin + end) / 2].TotalSeconds);
            for (var i = 0; i < values.Length; i++)
                foreach (var value in Ends(flight.Series[i].Values[begin..end]))
                    values[i].Add(value);
        }

        return new(seconds, Named(flight, values));
    }

    private static double?[] Ends(ReadOnlySpan<double> values)
    {
        var (low, high) = (-1, -1);
        for (var i = 0; i < values.Length; i++)
        {
            if (double.IsNaN(values[i]))
                continue;
            low = low < 0 || values[i] < values[low] ? i : low;
            high = high < 0 || values[i] > values[high] ? i : high;
        }

        return low < 0 ? [null, null]
            : low < high ? [values[low], values[high]]
            : [values[high], values[low]];
    }

    private static double? OrNull(double value) => double.IsNaN(value) ? null : value;
}
