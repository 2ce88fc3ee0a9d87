using Zephyros.Core.Flights.Table;

namespace Zephyros.Core.Flights;

/// <summary>A recorded flight: rows in the order of time, the first at zero.</summary>
public sealed class FlightRecording
{
    private readonly TimeSpan[] times;

    internal FlightRecording(TimeSpan[] times, IReadOnlyList<FlightSeries> series)
    {
        (this.times, Series) = (times, series);
        Step = UsualStep(times);
    }

    /// <summary>When each row was taken, since the first; never falling.</summary>
    public ReadOnlySpan<TimeSpan> Times => times;

    /// <summary>What was recorded.</summary>
    public IReadOnlyList<FlightSeries> Series { get; }

    /// <summary>How far rows are usually apart: the median.</summary>
    public TimeSpan Step { get; }

    /// <summary>When the last row was taken.</summary>
    public TimeSpan End => times[^1];

    /// <summary>Rows farther apart than this leave a gap.</summary>
    public TimeSpan Gap => TimeSpan.FromTicks(Math.Max((GapSteps * Step).Ticks, ShortestGap.Ticks));

    /// <summary>What it takes in memory, in bytes.</summary>
    public long Weight => (long)times.Length * sizeof(double) * (Series.Count + 1);

    private const int GapSteps = 10;

    private static readonly TimeSpan ShortestGap = TimeSpan.FromSeconds(2);

    /// <summary>What was recorded of something; null when nothing was.</summary>
    public FlightSeries? Of(ColumnMeaning meaning) => Series.FirstOrDefault(s => s.Meaning == meaning);

    /// <summary>The last row that was taken at a time or before; the first row for times before it.</summary>
    public int RowAt(TimeSpan at)
    {
        var (low, high) = (0, times.Length - 1);
        while (low < high)
        {
            var middle = (low + high + 1) / 2;
            if (times[middle] <= at)
                low = middle;
            else
                high = middle - 1;
        }

        return low;
    }

    private static TimeSpan UsualStep(TimeSpan[] times)
    {
        const int Looked = 10_001;
        var stride = Math.Max(1, times.Length / Looked);
        var steps = new List<TimeSpan>();
        for (var row = 1; row < times.Length; row += stride)
            steps.Add(times[row] - times[row - 1]);
        steps.RemoveAll(s => s <= TimeSpan.Zero);
        steps.Sort();
        return steps.Count == 0 ? TimeSpan.Zero : steps[steps.Count / 2];
    }
}
