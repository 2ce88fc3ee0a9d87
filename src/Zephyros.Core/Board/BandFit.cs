using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>Fits a band to the values that it must hold and those that it must keep out.</summary>
public static class BandFit
{
    private static readonly double Step = Bands.Step.Value;

    /// <summary>The band with its edges midway to the nearest values outside, on the board's steps; where none are outside, it reaches
    /// the end.</summary>
    /// <param name="inside">What it must hold, at least one value.</param>
    /// <param name="outside">What it must keep out.</param>
    /// <returns>The band, or null where the values lie too close to be told apart, or one that must stay out lies between the others.</returns>
    public static (Microseconds Low, Microseconds High)? Around(
        IReadOnlyCollection<Microseconds> inside,
        IReadOnlyCollection<Microseconds> outside
    )
    {
        var (first, last) = (inside.Min(v => v.Value), inside.Max(v => v.Value));
        if (outside.Any(v => v.Value >= first && v.Value <= last))
            return null;
        var below = outside.Select(v => v.Value).Where(v => v < first).DefaultIfEmpty(double.NaN).Max();
        var above = outside.Select(v => v.Value).Where(v => v > last).DefaultIfEmpty(double.NaN).Min();
        var low = double.IsNaN(below)
            ? Math.Min(Bands.Lowest.Value, Math.Floor(first / Step) * Step)
            : OnStep((below + first) / 2);
        var high = double.IsNaN(above)
            ? Math.Max(Bands.Highest.Value, (Math.Floor(last / Step) + 1) * Step)
            : OnStep((last + above) / 2);
        // Nothing is above NaN: without a neighbour below there is nothing to keep out.
        return !(low <= below) && low <= first && last < high && !(high > above)
            ? (new Microseconds(low), new Microseconds(high))
            : null;
    }

    private static double OnStep(double value) => Math.Round(value / Step, MidpointRounding.AwayFromZero) * Step;
}
