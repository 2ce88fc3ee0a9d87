using Zephyros.Core.Flights.Table;

namespace Zephyros.Web.Contracts;

/// <summary>What the pilot says of a column of a recorded flight.</summary>
/// <param name="Index">Its place in the table, 0 for the first.</param>
/// <param name="Meaning">What it means.</param>
/// <param name="Unit">The symbol of its unit; null to let its head or range decide.</param>
public sealed record ToldColumn(int Index, ColumnMeaning Meaning, string? Unit);
