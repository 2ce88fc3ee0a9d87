namespace Zephyros.Core.Flights.Table;

/// <summary>A unit in which a column may be written.</summary>
/// <param name="Symbol">The unit as it is shown and told.</param>
/// <param name="Scale">So many of the unit that is computed with.</param>
/// <param name="Shift">Added after that.</param>
public readonly record struct ColumnUnit(string Symbol, double Scale = 1, double Shift = 0)
{
    /// <summary>A cell of the column in the unit that is computed with.</summary>
    public double Taken(double cell) => Scale == 1 && Shift == 0 ? cell : Math.Round((cell * Scale) + Shift, Decimals);

    // What a sum of binary fractions adds to a limit is no reading beside it.
    private const int Decimals = 6;
}
