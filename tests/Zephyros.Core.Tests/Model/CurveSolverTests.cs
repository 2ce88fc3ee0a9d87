using CsCheck;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

/// <summary>The solver for multi-position switches, on random switches of two to six positions.</summary>
public sealed class CurveSolverTests
{
    private static readonly Gen<(double[] Measured, double[] Wanted, int Points)> Switches =
        from count in Gen.Int[2, 6]
        from measured in Gen.Int[-100, 100].ArrayUnique[count]
        from wanted in Gen.Int[-100, 100].Array[count]
        from points in Gen.Int[3, 17]
        select (measured.Select(v => (double)v).ToArray(), wanted.Select(v => (double)v).ToArray(), points);

    [Fact]
    public void The_curve_keeps_the_limits_and_says_truly_how_far_each_position_is_off() =>
        Switches.Sample(
            (measured, wanted, points) =>
            {
                var fit = Solve(measured, wanted, points);
                Assert.InRange(fit.Points.Length, 3, points);
                var xs = fit.Points.Select(p => p.X.Value).ToArray();
                Assert.Equal(xs.Distinct().Order(), xs);
                var table = new CurveTable(fit.Points, smooth: false);
                var residuals = measured.Zip(wanted, (x, y) => table.At(x) - y).ToArray();
                Assert.Equal(residuals, fit.Residuals, (a, b) => Math.Abs(a - b) < 1e-9);
                Assert.Equal(residuals.Max(Math.Abs), fit.Worst, 9);
                Assert.Equal(fit.Worst <= 2.5, fit.Within);
            },
            iter: Iterations.Of(500)
        );

    [Fact]
    public void With_enough_points_every_position_is_met_and_has_a_flat_stretch_where_there_is_room() =>
        Switches.Sample(
            (measured, wanted, _) =>
            {
                var fit = Solve(measured, wanted, 17);
                Assert.True(fit.Worst < 1e-9);
                // Neighbours at least 4 % apart leave room for a stretch of 1 % to each side: a worn contact then changes nothing.
                var sorted = measured.Order().ToArray();
                if (sorted.Zip(sorted.Skip(1), (a, b) => b - a).Min() < 4)
                    return;
                Assert.Equal(measured.Length, fit.Flats);
                var table = new CurveTable(fit.Points, smooth: false);
                foreach (var (x, y) in measured.Zip(wanted))
                    Assert.True(Math.Abs(table.At(x + 1) - y) < 1e-9 || Math.Abs(table.At(x - 1) - y) < 1e-9);
            },
            iter: Iterations.Of(200)
        );

    [Fact]
    public void More_points_are_never_worse() =>
        Switches.Sample(
            (measured, wanted, points) =>
                Solve(measured, wanted, Math.Min(points + 1, 17)).Worst <= Solve(measured, wanted, points).Worst + 1e-9,
            iter: Iterations.Of(300)
        );

    [Theory]
    [InlineData(new double[] { 0 }, new double[] { 0 })]
    [InlineData(new double[] { 0, 0 }, new double[] { 0, 1 })]
    [InlineData(new double[] { 0, 1 }, new double[] { 0 })]
    public void What_is_no_switch_is_refused(double[] measured, double[] wanted) =>
        Assert.Throws<ArgumentException>(() => Solve(measured, wanted, 9));

    private static CurveFit Solve(double[] measured, double[] wanted, int points) =>
        CurveSolver.Solve(
            [.. measured.Select(v => new Percent(v))],
            [.. wanted.Select(v => new Percent(v))],
            new Percent(2.5),
            points,
            new Percent(1)
        );
}
