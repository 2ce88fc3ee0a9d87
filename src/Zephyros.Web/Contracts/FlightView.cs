using Zephyros.Core.Flights.Table;
using Zephyros.Core.Units;
using Zephyros.Web.Flights;

namespace Zephyros.Web.Contracts;

/// <summary>A recorded flight.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">The name of its file.</param>
/// <param name="Reads">True while it is read.</param>
/// <param name="Share">How much of it is read, 0 to 1.</param>
/// <param name="Cancelled">True when the reading was ended early.</param>
/// <param name="Rows">How many rows it has; 0 while it cannot be used.</param>
/// <param name="Length">How long it is.</param>
/// <param name="Step">How far its rows are usually apart.</param>
/// <param name="Columns">Its columns.</param>
/// <param name="Damages">Places that cannot be read; the first so many of them.</param>
/// <param name="DamagedRows">How many rows were left out.</param>
/// <param name="DamagedCells">How many cells of the other rows were.</param>
/// <param name="Remarks">What must be said of it.</param>
/// <param name="Problem">Why it cannot be used; null when it can, or is still read.</param>
public sealed record FlightView(
    string Id,
    string Name,
    bool Reads,
    double Share,
    bool Cancelled,
    int Rows,
    Milliseconds Length,
    Milliseconds Step,
    IReadOnlyList<FlightColumn> Columns,
    IReadOnlyList<FlightDamage> Damages,
    int DamagedRows,
    int DamagedCells,
    IReadOnlyList<string> Remarks,
    string? Problem
)
{
    internal static FlightView Of(ShelvedFlight flight)
    {
        var work = flight.Work;
        var (works, share, reading) = (work.Works, work.Share, work.Result);
        var recording = reading?.Recording;
        return new(
            flight.Id,
            flight.Name,
            works,
            share,
            !works && reading is null && work.Fault is null,
            recording?.Times.Length ?? 0,
            new(recording?.End.TotalMilliseconds ?? 0),
            new(recording?.Step.TotalMilliseconds ?? 0),
            reading?.Columns ?? [],
            reading?.Damages ?? [],
            reading?.DamagedRows ?? 0,
            reading?.DamagedCells ?? 0,
            reading?.Remarks ?? [],
            work.Fault is { } fault ? $"The reading failed: {fault}" : reading?.Problem
        );
    }
}
