using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.OdeSolvers;
using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>A falling craft against the closed forms of mechanics and a general numeric library.</summary>
public sealed class FallTests
{
    // Standard acceleration of free fall: 3rd General Conference on Weights and Measures (BIPM), 1901.
    private const double G = 9.80665;

    // sqrt(2 × 40 / 9.80665) = 2.856 s, and sqrt(2 × 9.80665 × 40) = 28.0 m/s.
    [Fact]
    public void Forty_metres_without_air()
    {
        var fall = new Fall(new(40), new(10), new(7), null);
        Assert.Equal(2.856, fall.Ground.Time.TotalSeconds, 3);
        Assert.Equal(28.56, fall.Ground.Far.Value, 2);
        Assert.Equal(Math.Sqrt((28.0095 * 28.0095) + 100), fall.Ground.Speed.Value, 3);
        Assert.Equal(40 - (G / 2), fall.At(TimeSpan.FromSeconds(1)).High.Value, 6);
    }

    // From rest, braked by the square of the speed: v = vt tanh(g t / vt), fallen = vt² / g ln cosh(g t / vt).
    [Theory]
    [InlineData(5, 12)]
    [InlineData(40, 20)]
    [InlineData(400, 30)]
    [InlineData(2000, 8)]
    public void Straight_down_through_air(double height, double carried)
    {
        var fall = new Fall(new(height), default, default, new(carried));
        var time = carried / G * Math.Acosh(Math.Exp(height * G / (carried * carried)));
        if (double.IsInfinity(time))
            time = (height / carried) + (carried / G * Math.Log(2));
        Assert.Equal(time, fall.Ground.Time.TotalSeconds, 4);
        Assert.Equal(carried * Math.Tanh(G * time / carried), fall.Ground.Speed.Value, 4);
        Assert.Equal(0, fall.Ground.Far.Value, 9);
        var half = time / 2;
        var fallen = carried * carried / G * Math.Log(Math.Cosh(G * half / carried));
        if (!double.IsInfinity(fallen))
            Assert.Equal(height - fallen, fall.At(TimeSpan.FromSeconds(half)).High.Value, 4);
    }

    // Thrown straight up through air, by the textbook: it stops after vt / g atan(u / vt), vt² / 2g ln(1 + (u / vt)²) higher.
    [Theory]
    [InlineData(15, 12, 20)]
    [InlineData(0, 30, 9)]
    public void Straight_up_through_air(double height, double up, double carried)
    {
        var fall = new Fall(new(height), default, default, new(carried)) { Sinking = new(-up) };
        var rises = carried / G * Math.Atan(up / carried);
        var top = height + (carried * carried / (2 * G) * Math.Log(1 + (up * up / (carried * carried))));
        Assert.Equal(top, fall.At(TimeSpan.FromSeconds(rises)).High.Value, 4);
        var falls = carried / G * Math.Acosh(Math.Exp(top * G / (carried * carried)));
        Assert.Equal(rises + falls, fall.Ground.Time.TotalSeconds, 3);
        Assert.Equal((12 + Math.Sqrt(144 + (2 * G * 15))) / G, Thrown(12).Ground.Time.TotalSeconds, 6);

        static Fall Thrown(double at) => new(new(15), default, default, null) { Sinking = new(-at) };
    }

    // Thrown forward in wind: the library's own method of Runge and Kutta, in steps of another length.
    [Theory]
    [InlineData(60, 25, 8, 18)]
    [InlineData(120, 3, 12, 9)]
    [InlineData(15, 40, 0, 25)]
    public void Thrown_forward_as_a_numeric_library_solves_it(double height, double speed, double wind, double carried)
    {
        var fall = new Fall(new(height), new(speed), new(wind), new(carried)) { Sinking = new(1.5) };
        var seconds = fall.Ground.Time.TotalSeconds * 0.9;
        var solved = RungeKutta.FourthOrder(
            Vector<double>.Build.Dense([0, height, speed, 1.5]),
            0,
            seconds,
            20_000,
            (_, y) =>
            {
                var through = Math.Sqrt(Math.Pow(y[2] - wind, 2) + (y[3] * y[3])) * G / (carried * carried);
                return Vector<double>.Build.Dense([y[2], -y[3], -through * (y[2] - wind), G - (through * y[3])]);
            }
        )[^1];
        var (far, high) = fall.At(TimeSpan.FromSeconds(seconds));
        Assert.Equal(solved[0], far.Value, 3);
        Assert.Equal(solved[1], high.Value, 3);
    }

    // Plain small steps in the plane, the wind from anywhere and up to what is stated: never beyond the circle.
    [Fact]
    public void No_wind_carries_it_beyond_its_reach()
    {
        var random = new Random(21);
        for (var i = 0; i < Iterations.Of(300); i++)
        {
            MetresPerSecond? carried = random.Next(4) == 0 ? null : new(random.Next(3, 60));
            var fall = new Fall(new(random.Next(1, 150)), new(random.Next(0, 60)), new(random.Next(0, 30)), carried)
            {
                Sinking = new(random.Next(2) == 0 ? random.Next(0, 4) : random.Next(-40, 20)),
            };
            var wind = fall.Wind.Value * (random.Next(3) == 0 ? 1 : random.NextDouble());
            var from = random.NextDouble() * 2 * Math.PI;
            Assert.InRange(Simulated(fall, wind * Math.Cos(from), wind * Math.Sin(from)), 0, fall.Reach.Value + 0.05);
            Assert.InRange(fall.Ground.Far.Value, 0, fall.Reach.Value + 1e-6);
        }
    }

    private static double Simulated(Fall fall, double windAlong, double windAcross)
    {
        const double Step = 0.0005;
        var brake = fall.FallsAt is { } carried ? G / (carried.Value * carried.Value) : 0;
        var (x, y, z) = (0.0, 0.0, fall.Height.Value);
        var (vx, vy, down) = (fall.Speed.Value, 0.0, fall.Sinking.Value);
        while (z > 0 || down < 0)
        {
            var (rx, ry) = (vx - windAlong, vy - windAcross);
            var k = brake * Math.Sqrt((rx * rx) + (ry * ry) + (down * down));
            (vx, vy, down) = (vx - (k * rx * Step), vy - (k * ry * Step), down + ((G - (k * down)) * Step));
            (x, y, z) = (x + (vx * Step), y + (vy * Step), z - (down * Step));
        }

        return Math.Sqrt((x * x) + (y * y));
    }
}
