namespace Zephyros.Core.Flights.Table;

/// <summary>What the pilot says of a column.</summary>
/// <param name="Meaning">What it means.</param>
/// <param name="Unit">The symbol of its unit; null to let its head or range decide.</param>
public sealed record ColumnTold(ColumnMeaning Meaning, string? Unit = null);
