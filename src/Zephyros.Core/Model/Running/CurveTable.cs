namespace Zephyros.Core.Model.Running;

/// <summary>A curve made ready: straight lines, or a piecewise cubic Hermite course that keeps the direction of the points.</summary>
/// <remarks>The slopes of the rounded course follow F. N. Fritsch and J. Butland, "A method for constructing local monotone
/// piecewise cubic interpolants" (1984), with the usual three-point formula at the ends (from memory); tests compare it with a numeric library.</remarks>
public sealed class CurveTable
{
    private readonly double[] xs;
    private readonly double[] ys;
    private readonly double[]? slopes;

    /// <summary>Makes a curve ready.</summary>
    /// <param name="points">At least two points from left to right, no two at the same x.</param>
    /// <param name="smooth">True for the rounded course.</param>
    public CurveTable(IReadOnlyList<CurvePoint> points, bool smooth)
    {
        xs = [.. points.Select(p => p.X.Value)];
        ys = [.. points.Select(p => p.Y.Value)];
        slopes = smooth && xs.Length > 2 ? Slopes() : null;
    }

    /// <summary>The height of the curve in percent at <paramref name="x"/> percent; beyond the outer points their height.</summary>
    public double At(double x)
    {
        var last = xs.Length - 1;
        if (x <= xs[0])
            return ys[0];
        if (x >= xs[last])
            return ys[last];
        var i = 1;
        while (xs[i] < x)
            i++;
        var (left, right) = (i - 1, i);
        var width = xs[right] - xs[left];
        var t = (x - xs[left]) / width;
        if (slopes is null)
            return ys[left] + (t * (ys[right] - ys[left]));
        var (t2, t3) = (t * t, t * t * t);
        return (((2 * t3) - (3 * t2) + 1) * ys[left])
            + ((t3 - (2 * t2) + t) * width * slopes[left])
            + (((3 * t2) - (2 * t3)) * ys[right])
            + ((t3 - t2) * width * slopes[right]);
    }

    private double[] Slopes()
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
}
