using Zephyros.Core.Hands;

namespace Zephyros.Core.Model.Running;

/// <summary>Tells from the value of a switch or button whether it stands in one of some positions: the nearest position counts, so
/// that a worn or uneven switch is still read right.</summary>
internal static class PositionRuns
{
    /// <summary>The stretches of values, in percent, that count as the positions: each above its lower edge and up to its upper one.
    /// Neighbouring positions share a stretch.</summary>
    public static IReadOnlyList<(double Above, double UpTo)> Of(Control control, IReadOnlyCollection<int> positions)
    {
        var byValue = control
            .NamedPositions.Select(p => (Value: control.Read(p.Setting)!.Value.Value, Position: (int)p.Setting))
            .OrderBy(p => p.Value)
            .ToArray();
        double[] edges =
        [
            double.NegativeInfinity,
            .. byValue.Zip(byValue.Skip(1), (a, b) => (a.Value + b.Value) / 2),
            double.PositiveInfinity,
        ];
        var runs = new List<(double Above, double UpTo)>();
        for (var i = 0; i < byValue.Length; i++)
        {
            if (!positions.Contains(byValue[i].Position))
                continue;
            if (runs.Count > 0 && runs[^1].UpTo == edges[i])
                runs[^1] = (runs[^1].Above, edges[i + 1]);
            else
                runs.Add((edges[i], edges[i + 1]));
        }

        return runs;
    }
}
