using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>An uneven six-position switch. Common practice, no source: a nine-point curve with free x meets every wanted
/// value within 1, and 2 to 3 are close enough.</summary>
public sealed class SixPositionCurveTests
{
    private static readonly double[] Measured = [-100, -41, -12, 13, 36, 100];
    private static readonly double[] Wanted = [-100, -85, -70, 70, 85, 100];

    [Theory]
    [InlineData(17)]
    [InlineData(9)]
    [InlineData(6)]
    public void Every_position_is_met_within_one_when_the_points_suffice(int points)
    {
        var fit = Solve(points);
        Assert.True(fit.Within);
        Assert.True(fit.Worst <= 1);
        Assert.InRange(fit.Points.Length, 6, points);
        Assert.All(fit.Residuals, r => Assert.InRange(Math.Abs(r), 0, 1));
    }

    // The sum on paper: nine points leave three to spare; the steepest rise is in the middle, and there the flat stretches go.
    [Fact]
    public void Nine_points_leave_three_flat_stretches_around_the_steepest_rise()
    {
        var fit = Solve(9);
        Assert.Equal(3, fit.Flats);
        var flat = fit.Points.GroupBy(p => p.Y.Value).Where(g => g.Count() > 1).Select(g => g.Key);
        Assert.Equal([-70, 70, 85], flat.Order());
    }

    // By hand: with four points the outer two are fixed, and -12 -> -70 and 13 -> 70 are the best inner two. What is left out lies on
    // the lines: -41 gives -100 + 30 x 59/88 = -79.886, 36 gives 70 + 30 x 23/87 = 77.931, so the worst is off by 7.069.
    [Fact]
    public void Too_few_points_are_said_with_the_residual_of_each_position()
    {
        var fit = Solve(4);
        Assert.False(fit.Within);
        Assert.Equal([-100, -12, 13, 100], fit.Points.Select(p => p.X.Value));
        Assert.Equal([0, 5.114, 0, 0, -7.069, 0], fit.Residuals.Select(r => Math.Round(r, 3)));
    }

    [Fact]
    public void The_curve_in_the_model_gives_the_wanted_values()
    {
        var setup = Demo.Sandpiper.ReadyMade(
            "straighten-switch",
            ("measured", string.Join(' ', Measured)),
            ("wanted", string.Join(' ', Wanted))
        );
        // An older straightening is replaced, not straightened once more.
        Assert.Single(setup.Model.Channels["page"].Steps);
        var rig = new ModelRig(setup);
        for (var i = 0; i < 6; i++)
            Assert.Equal(Wanted[i], rig.Put("selector", i + 1).Value("page"), 1.0);
    }

    private static CurveFit Solve(int points) =>
        CurveSolver.Solve(
            [.. Measured.Select(v => new Percent(v))],
            [.. Wanted.Select(v => new Percent(v))],
            new Percent(2),
            points,
            new Percent(1)
        );
}
