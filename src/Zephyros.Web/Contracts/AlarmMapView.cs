using Zephyros.Core.Flights;
using Zephyros.Core.Units;
using Zephyros.Web.Flights;

namespace Zephyros.Web.Contracts;

/// <summary>How an alarm would do by its level and the time for which a reading must be below it.</summary>
/// <param name="Id">The id of the map.</param>
/// <param name="Alarm">The id of the alarm.</param>
/// <param name="Works">True while it is made.</param>
/// <param name="Share">How much of it is made, 0 to 1.</param>
/// <param name="Levels">The levels, rising.</param>
/// <param name="Waits">The times, rising.</param>
/// <param name="Cells">What comes of each level, by the times.</param>
/// <param name="Best">The place that is recommended; null until the map is made.</param>
/// <param name="Problem">Why it cannot be made; null when it can.</param>
public sealed record AlarmMapView(
    string Id,
    string Alarm,
    bool Works,
    double Share,
    IReadOnlyList<Reading> Levels,
    IReadOnlyList<Milliseconds> Waits,
    IReadOnlyList<IReadOnlyList<MapCell>> Cells,
    MapPlace? Best,
    string? Problem
)
{
    internal static AlarmMapView Of(ShelvedMap shelved)
    {
        var work = shelved.Work;
        var (works, share) = (work.Works, work.Share);
        if (work.Result is not { } map)
            return new(shelved.Id, shelved.Alarm.Id, works, share, [], [], [], null, work.Fault);
        var grid = map.Grid;
        return new(
            shelved.Id,
            shelved.Alarm.Id,
            false,
            1,
            grid.Levels,
            grid.Waits,
            [
                .. Enumerable
                    .Range(0, grid.Levels.Count)
                    .Select(l =>
                        (IReadOnlyList<MapCell>)[.. Enumerable.Range(0, grid.Waits.Count).Select(w => Cell(map, l, w))]
                    ),
            ],
            new MapPlace(map.Best.Level, map.Best.Wait, map.Why),
            null
        );
    }

    private static MapCell Cell(AlarmMap map, int level, int wait)
    {
        var cell = map[level, wait];
        return new(
            cell.False,
            cell.Missed,
            cell.Lead is { } lead ? new Milliseconds(lead.TotalMilliseconds) : null,
            map.LeavesEnough(cell)
        );
    }
}
