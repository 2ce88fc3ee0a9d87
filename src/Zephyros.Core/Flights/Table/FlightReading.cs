namespace Zephyros.Core.Flights.Table;

/// <summary>The outcome of reading a recorded flight.</summary>
/// <param name="Recording">What was recorded; null when the file is no flight, or a column must be told first.</param>
/// <param name="Columns">Its columns, in the order of the table.</param>
/// <param name="Damages">Places that cannot be read, by line; the first so many of them.</param>
/// <param name="DamagedRows">How many rows were left out.</param>
/// <param name="DamagedCells">How many cells of the other rows were.</param>
/// <param name="Remarks">What must be said of it: gaps, jumps of the clock, decimal commas.</param>
/// <param name="Problem">Why there is no recording; null when there is one.</param>
public sealed record FlightReading(
    FlightRecording? Recording,
    IReadOnlyList<FlightColumn> Columns,
    IReadOnlyList<FlightDamage> Damages,
    int DamagedRows,
    int DamagedCells,
    IReadOnlyList<string> Remarks,
    string? Problem
)
{
    /// <summary>A file that is no flight.</summary>
    internal static FlightReading Failed(string problem) => new(null, [], [], 0, 0, [], problem);
}
