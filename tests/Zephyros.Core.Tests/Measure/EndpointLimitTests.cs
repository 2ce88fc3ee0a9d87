using MathNet.Numerics;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Model;

namespace Zephyros.Core.Tests.Measure;

/// <summary>Both sides of each limit of the solver for ends, and its ends against trying every one that can be typed in.</summary>
public sealed class EndpointLimitTests
{
    // A centre within 3 µs of 1500 is one; centres within 6 µs of each other, up to 100 µs off, are the board's.
    [Theory]
    [InlineData(1503, 1497, 1500, null, 0)]
    [InlineData(1504, 1504, 1504, 1504.0, 0)]
    [InlineData(1496, 1496, 1496, 1496.0, 0)]
    [InlineData(1504, 1507, 1510, 1507.0, 0)]
    [InlineData(1504, 1507, 1511, null, 3)]
    [InlineData(1500, 1503, 1504, 1502.0, 0)]
    [InlineData(1500, 1500, 1507, null, 1)]
    [InlineData(1600, 1600, 1600, 1600.0, 0)]
    [InlineData(1601, 1601, 1601, null, 3)]
    [InlineData(1400, 1400, 1400, 1400.0, 0)]
    [InlineData(1399, 1399, 1399, null, 3)]
    public void A_centre_is_the_boards_or_its_channels(double roll, double pitch, double yaw, double? board, int off)
    {
        var answer = EndpointSolver.Solve(
            Demo.Plain,
            Sweeps(
                (StickAxis.Roll, 1000, roll, 2000),
                (StickAxis.Pitch, 1000, pitch, 2000),
                (StickAxis.Yaw, 1000, yaw, 2000)
            )
        );
        Assert.Equal((board, off), (answer.Centre?.Value, answer.OffCentre.Count));
        // The throttle has no centre.
        Assert.Empty(EndpointSolver.Solve(Demo.Plain, Sweeps((StickAxis.Throttle, 1000, 1700, 2000))).OffCentre);
    }

    [Theory]
    [InlineData(1450, 1500, 1550, "")]
    [InlineData(1451, 1500, 1550, "/sweeps/yaw/low")]
    [InlineData(1450, 1500, 1549, "/sweeps/yaw/high")]
    public void Less_than_50_µs_to_a_side_is_no_travel(double low, double centre, double high, string place) =>
        Assert.Equal(
            place,
            string.Join(' ', EndpointSolver.Problems(Sweeps((StickAxis.Yaw, low, centre, high))).Select(p => p.Place))
        );

    [Theory]
    [InlineData(0, 0)]
    [InlineData(2, 2)]
    [InlineData(2.1, 3)]
    public void The_deadband_covers_what_trembles_most(double jitter, double deadband)
    {
        var sweeps = Sweeps();
        sweeps[StickAxis.Pitch] = sweeps[StickAxis.Pitch] with { Jitter = new(jitter) };
        Assert.Equal(deadband, EndpointSolver.Solve(Demo.Plain, sweeps).Deadband.Value);
    }

    // Common practice, no source: beyond the ends a board holds the value; the deadband eats what lies next to the centre.
    [Theory]
    [InlineData(1000, 1500, 2000, 0, 0, 100, 100, 0)]
    [InlineData(990, 1508, 2020, 0, 30, 100, 100, 0)]
    [InlineData(990, 1508.5, 1900, 100, 10, 100, 80, 0.5)]
    [InlineData(1050, 1488, 2000, 50, 0, 90, 100, -4)]
    public void Travel_in_the_air(
        double low,
        double centre,
        double high,
        double missing,
        double clipped,
        double lowShare,
        double highShare,
        double beyondDeadband
    )
    {
        var board = Demo.Plain.Board with
        {
            Deadband = new(8),
            Expo = new(0),
            MaximumRate = new(500),
            Centre = new(1500),
        };
        var effect = EndpointSolver.Effect(board, StickAxis.Roll, Sweep(low, centre, high));
        Assert.Equal((missing, clipped), (effect.Short.Value, effect.Clipped.Value));
        Assert.Equal((lowShare, highShare), (effect.LowShare.Value, effect.HighShare.Value));
        Assert.Equal(500 * (1 - (Math.Min(lowShare, highShare) / 100)), effect.RateLost.Value, 9);
        Assert.Equal(beyondDeadband, effect.Drift.Value, 9);
    }

    // What arrives, as a general numeric library (Math.NET Numerics) sees it: two straight pieces through the three places. Of all ends that
    // can be typed in none brings the stick nearer, and where one beyond the limit would, that is said.
    [Fact]
    public void No_ends_that_can_be_typed_in_come_nearer()
    {
        var random = new Random(16);
        for (var round = 0; round < 60; round++)
        {
            var (step, limit) = (
                new[] { 0.1, 0.5, 1, 2.5 }[random.Next(4)],
                new[] { 100, 110, 125, 150 }[random.Next(4)]
            );
            var now = new OutputStage
            {
                Low = new(-random.Next(60, 100)),
                Centre = new(random.Next(-5, 6)),
                High = new(random.Next(60, 100)),
            };
            var raw = Sweep(random.Next(900, 1250), random.Next(1450, 1550), random.Next(1750, 2100));
            var setup = Demo.Plain.WithChannel("yaw", c => c with { Output = now }) with
            {
                Transmitter = Demo.Plain.Transmitter with { TravelStep = new(step), TravelLimit = new(limit) },
            };
            var sweeps = Sweeps();
            sweeps[StickAxis.Yaw] = raw;
            var ends = EndpointSolver.Solve(setup, sweeps).Channels.Single(c => c.Axis == StickAxis.Yaw).Ends!;
            var (lower, upper) = (
                Interpolate.Linear([now.Low.Value, now.Centre.Value], [raw.Low.Value, raw.Centre.Value]),
                Interpolate.Linear([now.Centre.Value, now.High.Value], [raw.Centre.Value, raw.High.Value])
            );
            double Arrives(double percent) => (percent < now.Centre.Value ? lower : upper).Interpolate(percent);
            var places = Enumerable
                .Range((int)(-limit / step), (2 * (int)(limit / step)) + 1)
                .Select(i => i * step)
                .ToArray();
            void Nearest(double percent, double wanted)
            {
                var best = places.Min(p => Math.Abs(Arrives(p) - wanted));
                Assert.Equal(best, Math.Abs(Arrives(percent) - wanted), 6);
            }

            Nearest(ends.Low.Value, 1000);
            Nearest(ends.Centre.Value, 1500);
            Nearest(ends.High.Value, 2000);
            Assert.Equal(Arrives(-limit) <= 1000 && Arrives(limit) >= 2000, ends.WithinReach);
            Assert.Equal(
                new[] { (ends.Low, 1000), (ends.Centre, 1500), (ends.High, 2000) }.Max(e =>
                    Math.Abs(Arrives(e.Item1.Value) - e.Item2)
                ),
                ends.Residual.Value,
                6
            );
        }
    }

    private static Dictionary<StickAxis, Sweep> Sweeps(
        params (StickAxis Axis, double Low, double Centre, double High)[] other
    )
    {
        var sweeps = StickAxes.All.ToDictionary(a => a, _ => Sweep(1000, 1500, 2000));
        foreach (var (axis, low, centre, high) in other)
            sweeps[axis] = Sweep(low, centre, high);
        return sweeps;
    }

    private static Sweep Sweep(double low, double centre, double high) =>
        new()
        {
            Low = new(low),
            Centre = new(centre),
            High = new(high),
        };
}
