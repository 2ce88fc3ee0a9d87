namespace Zephyros.Core.Model.Running;

/// <summary>A curve made ready: straight lines, or a piecewise cubic Hermite course that keeps the direction of the points.</summary>
/// <remarks>The slopes of the rounded course follow F. N. Fritsch and J. Butland, "A method for constructing local monotone
/// piecewise cubic interpolants" (1984), with the usual three-point formula at the ends (from memory); tests compare it with a numeric library.</remarks>
public sealed class CurveTable
{
    private readonly double[] xs;
    private readonly Segment[] segments;
    private readonly double first;
    private readonly double last;

    /// <summary>Makes a curve ready.</summary>
    /// <param name="points">At least two points from left to right, no two at the same x.</param>
    /// <param name="smooth">True for the rounded course.</param>
    public CurveTable(IReadOnlyList<CurvePoint> points, bool smooth)
    {
        xs = [.. points.Select(p => p.X.Value)];
        double[] ys = [.. points.Select(p => p.Y.Value)];
        (first, last) = (ys[0], ys[^1]);
        var slopes = smooth && xs.Length > 2 ? Slopes(xs, ys) : null;
        segments =
        [
            .. Enumerable
                .Range(0, xs.Length - 1)
                .Select(i => Segment.Between(xs[i + 1] - xs[i], ys[i], ys[i + 1], slopes?[i..(i + 2)])),
        ];
    }

    /// <summary>The height of the curve in percent at <paramref name="x"/> percent; beyond the outer points their height.</summary>
    public double At(double x)
    {
        if (x <= xs[0])
            return first;
        if (x >= xs[^1])
            return last;
        var i = 0;
        while (xs[i + 1] < x)
            i++;
        return segments[i].At(x - xs[i]);
    }

    /// <summary>The lowest and the highest value of the curve between two places. Between two points both courses run one way only.</summary>
    public (double Low, double High) Between(double from, double to)
    {
        var (one, other) = (At(from), At(to));
        var (low, high) = (Math.Min(one, other), Math.Max(one, other));
        for (var i = 0; i < xs.Length; i++)
            if (xs[i] > from && xs[i] < to)
                (low, high) = (Math.Min(low, At(xs[i])), Math.Max(high, At(xs[i])));
        return (low, high);
    }

    private static double[] Slopes(double[] xs, double[] ys)
    {
        var count = xs.Length;
        var widths = new double[count - 1];
        var rises = new double[count - 1];
        for (var i = 0; i < count - 1; i++)
        {
            widths[i] = xs[i + 1] - xs[i];
            rises[i] = (ys[i + 1] - ys[i]) / widths[i];
        }

        var result = new double[count];
        for (var i = 1; i < count - 1; i++)
            result[i] = Inner(widths[i - 1], widths[i], rises[i - 1], rises[i]);
        result[0] = End(widths[0], widths[1], rises[0], rises[1]);
        result[^1] = End(widths[^1], widths[^2], rises[^1], rises[^2]);
        return result;
    }

    // The weighted harmonic mean of the rises on both sides; flat where they part in direction.
    private static double Inner(double widthLeft, double widthRight, double riseLeft, double riseRight)
    {
        if (riseLeft * riseRight <= 0)
            return 0;
        var (one, two) = ((2 * widthRight) + widthLeft, widthRight + (2 * widthLeft));
        return (one + two) / ((one / riseLeft) + (two / riseRight));
    }

    private static double End(double width, double next, double rise, double nextRise)
    {
        var slope = ((((2 * width) + next) * rise) - (width * nextRise)) / (width + next);
        if (slope * rise <= 0)
            return 0;
        return rise * nextRise < 0 && Math.Abs(slope) > 3 * Math.Abs(rise) ? 3 * rise : slope;
    }

    // The course from one point to the next as a cubic in the distance from the first; a straight line has no higher terms.
    private readonly record struct Segment(double C0, double C1, double C2, double C3)
    {
        public static Segment Between(double width, double from, double to, double[]? slopes)
        {
            var rise = (to - from) / width;
            if (slopes is not [var a, var b])
                return new(from, rise, 0, 0);
            return new(from, a, ((3 * rise) - (2 * a) - b) / width, (a + b - (2 * rise)) / (width * width));
        }

        public double At(double distance) => C0 + (distance * (C1 + (distance * (C2 + (distance * C3)))));
    }
}
