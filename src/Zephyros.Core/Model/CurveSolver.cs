using System.Collections.Immutable;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Finds the curve that turns the measured values of a multi-position switch into the wanted ones, within a transmitter's
/// point limit and on its grid.</summary>
/// <remarks>Enough points: one at each measured value, and the points left over become flat stretches where the curve is steepest,
/// because there a worn contact would change the value most. Too few: the subset of points with the smallest worst residual, found
/// by trying all. Common practice, no source: 2 to 3 percent are close enough.</remarks>
public static class CurveSolver
{
    // A flat stretch reaches so far to either side, or a quarter of the way to the neighbour where that is less.
    private const double FlatReach = 4;

    /// <summary>Solves for a curve of straight lines.</summary>
    /// <param name="measured">The values that come in, in percent, at least two, all different.</param>
    /// <param name="wanted">The values that should go out, as many.</param>
    /// <param name="tolerance">The largest residual that is close enough, in percent.</param>
    /// <param name="mostPoints">The transmitter's point limit, at least 3.</param>
    /// <param name="grid">The transmitter's step for points, in percent; above 0.</param>
    /// <exception cref="ArgumentException">The lists do not fit each other or two measured values are the same.</exception>
    public static CurveFit Solve(
        IReadOnlyList<Percent> measured,
        IReadOnlyList<Percent> wanted,
        Percent tolerance,
        int mostPoints,
        Percent grid
    )
    {
        if (measured.Count != wanted.Count || measured.Count < 2 || measured.Distinct().Count() != measured.Count)
            throw new ArgumentException(
                "As many wanted as measured values are needed, at least two, all measured ones different.",
                nameof(measured)
            );
        var knots = measured
            .Zip(wanted, (x, y) => new Knot(OnGrid(x.Value, grid.Value), OnGrid(y.Value, grid.Value)))
            .OrderBy(k => k.X)
            .ToList();
        var (points, flats) =
            knots.Count <= mostPoints ? Flatten(knots, mostPoints, grid.Value) : (Best(knots, mostPoints), 0);
        Pad(points, grid.Value);
        var curve = points
            .Select(k => new CurvePoint { X = new Percent(k.X), Y = new Percent(k.Y) })
            .ToImmutableArray();
        var table = new CurveTable(curve, smooth: false);
        var residuals = measured.Zip(wanted, (x, y) => table.At(x.Value) - y.Value).ToArray();
        var worst = residuals.Max(Math.Abs);
        return new CurveFit(curve, residuals, worst, worst <= tolerance.Value, flats);
    }

    private static (List<Knot> Points, int Flats) Flatten(List<Knot> knots, int mostPoints, double grid)
    {
        var slopes = knots.Zip(knots.Skip(1), (a, b) => Math.Abs((b.Y - a.Y) / (b.X - a.X))).ToArray();
        double Left(int i) => i == 0 ? 0 : slopes[i - 1];
        double Right(int i) => i == slopes.Length ? 0 : slopes[i];
        var steepest = Enumerable
            .Range(0, knots.Count)
            .OrderByDescending(i => Math.Max(Left(i), Right(i)))
            .ThenBy(i => i);
        // Positions that lie too close to their neighbours have no room for a flat stretch.
        var flat = steepest
            .Where(i => Reach(knots, i, -1, grid) + Reach(knots, i, 1, grid) > 0)
            .Take(mostPoints - knots.Count)
            .ToHashSet();
        var points = new List<Knot>();
        for (var i = 0; i < knots.Count; i++)
        {
            if (!flat.Contains(i))
            {
                points.Add(knots[i]);
                continue;
            }

            points.Add(knots[i] with { X = OnGrid(knots[i].X - Reach(knots, i, -1, grid), grid) });
            points.Add(knots[i] with { X = OnGrid(knots[i].X + Reach(knots, i, 1, grid), grid) });
        }

        return (points, flat.Count);
    }

    // How far the flat stretch of a knot goes to one side; the outer knots need none outwards, for the curve ends flat there.
    private static double Reach(List<Knot> knots, int i, int side, double grid)
    {
        var neighbour = i + side;
        if (neighbour < 0 || neighbour >= knots.Count)
            return 0;
        // A quarter each, rounded down, so that the stretches of two neighbours never meet.
        var room = Math.Min(FlatReach, Math.Abs(knots[neighbour].X - knots[i].X) / 4);
        return Math.Floor(Math.Round(room / grid, 6)) * grid;
    }

    // All ways to keep so many knots or fewer, the outer two always among them: one knot more can make what lies beside it worse.
    private static List<Knot> Best(List<Knot> knots, int keep)
    {
        List<Knot>? best = null;
        var least = double.PositiveInfinity;
        for (var bits = 0; bits < 1 << (knots.Count - 2); bits++)
        {
            if (int.PopCount(bits) > keep - 2)
                continue;
            var kept = knots.Where((_, i) => i == 0 || i == knots.Count - 1 || ((bits >> (i - 1)) & 1) != 0).ToList();
            var table = new CurveTable(
                [.. kept.Select(k => new CurvePoint { X = new Percent(k.X), Y = new Percent(k.Y) })],
                smooth: false
            );
            var worst = knots.Max(k => Math.Abs(table.At(k.X) - k.Y));
            if (worst >= least)
                continue;
            (best, least) = (kept, worst);
        }

        return best!;
    }

    // A curve has at least three points; the third lies on the line between the two, or, where the grid leaves no room there, beyond
    // one of them, where the curve is flat anyway.
    private static void Pad(List<Knot> points, double grid)
    {
        if (points.Count >= CurveStep.FewestPoints)
            return;
        var (a, b) = (points[0], points[1]);
        var middle = OnGrid((a.X + b.X) / 2, grid);
        if (middle > a.X && middle < b.X)
            points.Insert(1, new Knot(middle, OnGrid((a.Y + b.Y) / 2, grid)));
        else if (b.X + grid <= 100)
            points.Add(b with { X = OnGrid(b.X + grid, grid) });
        else
            points.Insert(0, a with { X = OnGrid(a.X - grid, grid) });
    }

    private static double OnGrid(double value, double grid) =>
        Math.Round(Math.Round(value / grid, MidpointRounding.AwayFromZero) * grid, 6);

    private readonly record struct Knot(double X, double Y);
}
