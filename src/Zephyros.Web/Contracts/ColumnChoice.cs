using Zephyros.Core.Flights.Table;

namespace Zephyros.Web.Contracts;

/// <summary>What a column of a recorded flight may mean, and the units that it may be in.</summary>
/// <param name="Meaning">The meaning.</param>
/// <param name="Words">What it is called.</param>
/// <param name="Units">Its units; the first is the one that is computed with.</param>
public sealed record ColumnChoice(ColumnMeaning Meaning, string Words, IReadOnlyList<string> Units);
