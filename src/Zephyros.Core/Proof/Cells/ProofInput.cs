namespace Zephyros.Core.Proof.Cells;

/// <summary>Something that a hand or the world moves, with the values that make a difference to a promise.</summary>
/// <param name="Kind">What moves it.</param>
/// <param name="Id">The id of the control or sensor; empty for telemetry as such.</param>
/// <param name="Name">The name that a pilot reads.</param>
/// <param name="Cells">What it can be; at least two.</param>
public sealed record ProofInput(InputKind Kind, string Id, string Name, IReadOnlyList<InputCell> Cells)
{
    /// <summary>The cell that a value lies in. A value between two of the grid belongs to the one above it.</summary>
    public int CellOf(double value)
    {
        var (best, edge) = (0, double.PositiveInfinity);
        for (var i = 0; i < Cells.Count; i++)
            foreach (var stretch in Cells[i].Stretches)
                if (value <= stretch.UpTo && stretch.UpTo < edge)
                    (best, edge) = (i, stretch.UpTo);
        return best;
    }
}
