using Zephyros.Core.Hands;

namespace Zephyros.Core.Model.Running;

/// <summary>Tells from the value of a switch or button whether it stands in one of some positions: the nearest position counts, so
/// that a worn or uneven switch is still read right.</summary>
internal sealed class PositionTable
{
    // Up to each edge the position of the same place counts; beyond the last edge the last one.
    private readonly double[] edges;
    private readonly bool[] wanted;

    public PositionTable(Control control, IReadOnlyCollection<int> positions)
    {
        var byValue = control
            .NamedPositions.Select(p => (Value: control.Read(p.Setting)!.Value.Value, Position: (int)p.Setting))
            .OrderBy(p => p.Value)
            .ToArray();
        wanted = [.. byValue.Select(p => positions.Contains(p.Position))];
        edges = [.. byValue.Zip(byValue.Skip(1), (a, b) => (a.Value + b.Value) / 2)];
    }

    public bool Holds(double value)
    {
        var i = 0;
        while (i < edges.Length && value > edges[i])
            i++;
        return wanted.Length > 0 && wanted[i];
    }
}
