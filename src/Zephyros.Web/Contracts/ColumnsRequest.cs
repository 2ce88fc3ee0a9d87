namespace Zephyros.Web.Contracts;

/// <summary>What the pilot says of the columns of a recorded flight.</summary>
/// <param name="Columns">Those that something is said of; of two for one column the last counts.</param>
public sealed record ColumnsRequest(IReadOnlyList<ToldColumn> Columns);
