namespace Zephyros.Core.Captures;

/// <summary>Measures how long a bit is on a serial line: the longest time of which nearly all short stretches of level are whole multiples.</summary>
internal static class BitTime
{
    // 1 200 baud to 2 million baud, in nanoseconds.
    private const double Longest = 1e9 / 1200;
    private const double Shortest = 500;

    // Each try is so much shorter than the one before.
    private const double Ratio = 0.99;

    // A stretch is at most so many bits long when it belongs to a byte: start bit and eight data bits alike.
    private const double MostBits = 9.6;

    private const double Tolerance = 0.2;
    private const double Enough = 0.9;
    private const int MostStretches = 20_000;
    private const int FewestStretches = 12;

    /// <summary>The time of a bit in nanoseconds, or null when the line does not look serial.</summary>
    public static double? Measure(LineCapture capture)
    {
        var stretches = Stretches(capture);
        if (stretches.Length < FewestStretches)
            return null;
        for (var bit = Longest; bit >= Shortest; bit *= Ratio)
            if (Fits(stretches, bit))
                return Refine(stretches, Best(stretches, bit));
        return null;
    }

    // Evenly picked out of the recording, so that a burst of noise at one place does not weigh too much.
    private static double[] Stretches(LineCapture capture)
    {
        var changes = capture.Changes;
        var stride = Math.Max(1, changes.Length / MostStretches);
        var stretches = new List<double>();
        for (var i = 1; i < changes.Length; i++)
            if (i / MostBurst % stride == 0)
                stretches.Add(changes[i] - changes[i - 1]);
        return [.. stretches];
    }

    // Neighbours are picked together.
    private const int MostBurst = 64;

    private static bool Fits(double[] stretches, double bit)
    {
        var (fit, all, single) = (0, 0, 0);
        foreach (var stretch in stretches)
        {
            var bits = stretch / bit;
            if (bits > MostBits)
                continue;
            all++;
            if (bits < 1 - Tolerance || Math.Abs(bits - Math.Round(bits)) > Tolerance)
                continue;
            fit++;
            single += bits < 1 + Tolerance ? 1 : 0;
        }

        // Bytes without a single bit that stands alone are rare; multiples of a longer time would have none.
        return all >= FewestStretches && fit >= Enough * all && single * 20 >= all && all * 3 >= stretches.Length;
    }

    // The first that fits lies at the edge of what fits; the middle is where the stretches lie closest to whole bits.
    private static double Best(double[] stretches, double first)
    {
        var (best, least) = (first, double.MaxValue);
        for (var bit = first; bit > first * 0.85; bit *= 0.998)
        {
            var error = 0.0;
            foreach (var stretch in stretches)
                if (stretch / bit is > 0.5 and <= MostBits and var bits)
                    error += Math.Min(Math.Abs(bits - Math.Round(bits)), Tolerance);
            if (error < least)
                (best, least) = (bit, error);
        }

        return best;
    }

    // Least squares through nought over the stretches that fit.
    private static double Refine(double[] stretches, double bit)
    {
        var (products, squares) = (0.0, 0.0);
        foreach (var stretch in stretches)
        {
            var bits = Math.Round(stretch / bit);
            if (bits is < 1 or > MostBits || Math.Abs((stretch / bit) - bits) > Tolerance)
                continue;
            products += stretch * bits;
            squares += bits * bits;
        }

        return products / squares;
    }
}
