namespace Zephyros.Core.Captures;

/// <summary>Tells how often a logic analyser has looked at the line: its changes then stand at whole multiples of that time, pauses too.</summary>
internal static class SampleGrid
{
    // Times are written in whole nanoseconds, or in whole ticks of a scale that is not the analyser's.
    private const double Rounding = 2.5;

    // In shares of the time between two samples.
    private const double Tolerance = 0.02;

    private const double Enough = 0.995;

    // The bits of one frame stand on a grid of their own; several frames do not, so there must be pauses, in samples.
    private const double Pause = 20;
    private const int FewestPauses = 4;
    private const int MostStretches = 20_000;

    /// <summary>The time between two samples, in nanoseconds; null when the changes do not stand on such a grid.</summary>
    public static double? Of(LineCapture capture)
    {
        var changes = capture.Changes;
        var count = Math.Min(changes.Length, MostStretches);
        if (count < 2)
            return null;
        var stretches = new double[count];
        stretches[0] = changes[0];
        for (var i = 1; i < count; i++)
            stretches[i] = changes[i] - changes[i - 1];
        double[] sorted = [.. stretches.Where(s => s > Rounding).Order()];
        // The least by which two lengths differ, or the least length, is one sample.
        var least = sorted.Length > 0 ? sorted[0] : 0;
        for (var i = 1; i < sorted.Length; i++)
            if (sorted[i] - sorted[i - 1] > 2 * Rounding)
                least = Math.Min(least, sorted[i] - sorted[i - 1]);
        if (least <= 4 * Rounding)
            return null;
        var step = Refined(stretches, least);
        if (stretches.Count(s => s > Pause * step) < FewestPauses)
            return null;
        var whole = stretches.Count(s => Math.Abs(s - (Math.Round(s / step) * step)) <= Rounding + (Tolerance * step));
        return whole >= Enough * count ? step : null;
    }

    // What is many samples long tells one of them more exactly.
    private static double Refined(double[] stretches, double step)
    {
        foreach (var reach in new[] { 4.0, 16, 64, 256 })
        {
            var (length, samples) = (0.0, 0.0);
            foreach (var stretch in stretches)
                if (stretch <= reach * step)
                    (length, samples) = (length + stretch, samples + Math.Round(stretch / step));
            if (samples > 0)
                step = length / samples;
        }

        return step;
    }
}
