using Zephyros.Core.Flights.Table;

namespace Zephyros.Core.Flights;

/// <summary>What was recorded of one thing, as it is drawn.</summary>
/// <param name="Meaning">What it is.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Values">A value for each point; null where there is none.</param>
public sealed record DrawnSeries(ColumnMeaning Meaning, string Unit, IReadOnlyList<double?> Values);
