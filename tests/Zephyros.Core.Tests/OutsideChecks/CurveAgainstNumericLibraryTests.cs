using CsCheck;
using MathNet.Numerics.Interpolation;
using Zephyros.Core.Model.Running;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>Curves against the interpolations of MathNet.Numerics, a general-purpose numeric library, on random curves.</summary>
public sealed class CurveAgainstNumericLibraryTests
{
    // 3 to 17 points with x free on a grid of 0.1 %, as the transmitters have it.
    private static readonly Gen<(double X, double Y)[]> Curves = Gen.Int[3, 17]
        .SelectMany(count =>
            Gen.Int[-1000, 1000]
                .ArrayUnique[count]
                .Select(Gen.Double[-150, 150].Array[count], (xs, ys) => xs.Order().Zip(ys, (x, y) => (x / 10.0, y)))
        )
        .Select(points => points.ToArray());

    [Fact]
    public void Straight_curves_agree_with_linear_splines() =>
        Compare(smooth: false, (xs, ys) => LinearSpline.InterpolateSorted(xs, ys));

    [Fact]
    public void Rounded_curves_agree_with_monotone_cubic_splines() =>
        Compare(smooth: true, (xs, ys) => CubicSpline.InterpolatePchipSorted(xs, ys));

    [Fact]
    public void A_rounded_curve_never_passes_its_neighbouring_points() =>
        Curves
            .Select(Gen.Double[0, 1], Gen.Int[0, 15])
            .Sample(
                (points, t, segment) =>
                {
                    var i = segment % (points.Length - 1);
                    var (a, b) = (points[i], points[i + 1]);
                    var y = new CurveTable(Points(points), smooth: true).At(a.X + (t * (b.X - a.X)));
                    return y >= Math.Min(a.Y, b.Y) - 1e-9 && y <= Math.Max(a.Y, b.Y) + 1e-9;
                },
                iter: Iterations.Of(1000)
            );

    private static void Compare(bool smooth, Func<double[], double[], IInterpolation> library) =>
        Curves
            .Select(Gen.Double[0, 1])
            .Sample(
                (points, t) =>
                {
                    var (xs, ys) = (points.Select(p => p.X).ToArray(), points.Select(p => p.Y).ToArray());
                    var x = xs[0] + (t * (xs[^1] - xs[0]));
                    var expected = library(xs, ys).Interpolate(x);
                    var table = new CurveTable(Points(points), smooth);
                    // Beyond its points a curve stays at their height, where the library would go on.
                    return Math.Abs(table.At(x) - expected) < 1e-7
                        && table.At(xs[0] - 1) == ys[0]
                        && table.At(xs[^1] + 1) == ys[^1];
                },
                iter: Iterations.Of(1000)
            );
}
