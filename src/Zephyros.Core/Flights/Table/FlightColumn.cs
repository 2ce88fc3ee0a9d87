namespace Zephyros.Core.Flights.Table;

/// <summary>A column of a recorded flight, and what it is taken for.</summary>
/// <param name="Index">Its place in the table, 0 for the first.</param>
/// <param name="Head">Its head, as far as it can be shown.</param>
/// <param name="Meaning">What it is taken for.</param>
/// <param name="Unit">The symbol of the unit that it is taken to be in.</param>
/// <param name="How">How that is known.</param>
/// <param name="Lowest">The lowest number in it, as it is written; null when it has none.</param>
/// <param name="Highest">The highest.</param>
/// <param name="Filled">In how many rows it has a number.</param>
/// <param name="Remark">What must be said of that; empty when nothing.</param>
public sealed record FlightColumn(
    int Index,
    string Head,
    ColumnMeaning Meaning,
    string Unit,
    ColumnHow How,
    double? Lowest,
    double? Highest,
    int Filled,
    string Remark
);
