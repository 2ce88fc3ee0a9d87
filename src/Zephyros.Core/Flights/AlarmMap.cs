using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>How an alarm would do on recorded flights, by its level and the time for which a reading must be below it; and the place that is
/// recommended.</summary>
public sealed class AlarmMap
{
    // A place is the safer the more of its neighbours are as good; beyond so many it makes no difference.
    private const int Room = 2;

    private readonly AlarmCell[,] cells;
    private int flights;
    private int criticals;

    private AlarmMap(AlarmGrid grid, Milliseconds wanted)
    {
        Grid = grid;
        Wanted = wanted;
        cells = new AlarmCell[grid.Levels.Count, grid.Waits.Count];
    }

    /// <summary>The levels and times that were tried.</summary>
    public AlarmGrid Grid { get; }

    /// <summary>What an alarm must leave before the critical moment.</summary>
    public Milliseconds Wanted { get; }

    /// <summary>The place that is recommended.</summary>
    public (int Level, int Wait) Best { get; private set; }

    /// <summary>Why, in a sentence.</summary>
    public string Why { get; private set; } = "";

    /// <summary>How the alarm would do at a place.</summary>
    public AlarmCell this[int level, int wait] => cells[level, wait];

    /// <summary>Tries all places.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="alarm">The alarm.</param>
    /// <param name="flights">The flights, at least one.</param>
    /// <param name="wish">What the alarm is held to.</param>
    /// <param name="grid">The levels and times.</param>
    /// <param name="way">Where the flights were recorded.</param>
    /// <param name="progress">Is told the share that is done, 0 to 1.</param>
    /// <param name="cancel">Ends the work early.</param>
    /// <exception cref="OperationCanceledException">The work was ended early.</exception>
    public static AlarmMap Of(
        Setup setup,
        Alarm alarm,
        IReadOnlyList<FlightRecording> flights,
        JudgeWish wish,
        AlarmGrid grid,
        HearingWay way,
        IProgress<double>? progress,
        CancellationToken cancel
    )
    {
        var made = new AlarmMap(grid, wish.Lead);
        var survey = new AlarmSurvey(setup, alarm, grid);
        for (var f = 0; f < flights.Count; f++)
        {
            var course = new FlightCourse(setup, flights[f], alarm, wish);
            made.flights++;
            made.criticals += course.Critical is null ? 0 : 1;
            for (var level = 0; level < grid.Levels.Count; level++)
            {
                cancel.ThrowIfCancellationRequested();
                var wait = 0;
                foreach (var held in survey.Held(flights[f], way, grid.Levels[level]))
                {
                    made.cells[level, wait] = made.cells[level, wait].With(course.Score(held));
                    wait++;
                }

                progress?.Report((f + ((level + 1.0) / grid.Levels.Count)) / flights.Count);
            }
        }

        made.Recommend();
        return made;
    }

    /// <summary>True when no flight lacks the wanted lead there.</summary>
    public bool LeavesEnough(AlarmCell cell) =>
        cell.Missed == 0 && (cell.Lead is not { } lead || lead >= Wanted.ToTimeSpan());

    // None missed and enough lead comes first, then the fewest false ones; of those the place with most room around it, then the one that
    // lets the pilot fly longest, then the shortest time. Where none leaves enough, the one that leaves most comes first, whatever it
    // cries. Where no flight had a critical moment an alarm can only be too late, so the one that speaks first is taken.
    private void Recommend()
    {
        var places = Enumerable
            .Range(0, Grid.Levels.Count)
            .SelectMany(l => Enumerable.Range(0, Grid.Waits.Count).Select(w => (Level: l, Wait: w)))
            .ToArray();
        var good = places
            .Where(p => LeavesEnough(this[p.Level, p.Wait]))
            .OrderBy(p => this[p.Level, p.Wait].False)
            .ThenByDescending(p => Around(p.Level, p.Wait));
        Best = (
            !good.Any()
                ? places
                    .OrderBy(p => this[p.Level, p.Wait].Missed)
                    .ThenByDescending(p => this[p.Level, p.Wait].Lead)
                    .ThenBy(p => this[p.Level, p.Wait].False)
                    .ThenBy(p => p.Wait)
            : criticals > 0 ? good.ThenBy(p => this[p.Level, p.Wait].Lead).ThenBy(p => p.Level).ThenBy(p => p.Wait)
            : good.ThenBy(p => p.Wait).ThenByDescending(p => p.Level)
        ).First();
        Why = criticals > 0 ? Reason(this[Best.Level, Best.Wait]) : Blind;
    }

    private const string Blind =
        "On no flight came the critical moment: whether an alarm comes in time could not be judged. This is the highest level without a "
        + "false alarm at the shortest time; a flight that goes lower tells more.";

    private string Reason(AlarmCell best)
    {
        var wanted = Wanted.Words;
        // A flight without a critical moment says nothing of the lead.
        var every =
            criticals == flights
                ? "on every flight"
                : $"on {criticals} of {flights} flights (the others had no critical moment)";
        return !LeavesEnough(best) ? $"No place leaves {wanted} on every flight; this one leaves most."
            : best.False > 0 ? $"No place that leaves {wanted} is without false alarms; this one has the fewest."
            : Around(Best.Level, Best.Wait) >= Room
                ? $"No false alarm and at least {wanted} {every}, here and at all places around it; of those it lets you fly longest."
            : $"No false alarm and at least {wanted} {every}. It is near the edge: other flights may see it otherwise.";
    }

    // How far around a place all others are as good; the rim of the map is as good as what is inside.
    private int Around(int level, int wait)
    {
        var own = this[level, wait];
        for (var far = 1; far <= Room; far++)
        for (var l = Math.Max(0, level - far); l <= Math.Min(Grid.Levels.Count - 1, level + far); l++)
        for (var w = Math.Max(0, wait - far); w <= Math.Min(Grid.Waits.Count - 1, wait + far); w++)
            if (this[l, w] is var other && (other.False > own.False || !LeavesEnough(other)))
                return far - 1;
        return Room;
    }
}
