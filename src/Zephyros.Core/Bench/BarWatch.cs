using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Looks at the four bars of the board as a pilot does who sweeps the sticks: lowest, highest, now.</summary>
internal sealed class BarWatch
{
    private readonly Dictionary<StickAxis, BarTravel> bars = [];
    private IRoutine? routine;

    /// <summary>The bars by axis; none before the first frame.</summary>
    public IReadOnlyDictionary<string, BarTravel> Bars =>
        bars.ToDictionary(b => b.Key.Word(), b => b.Value, StringComparer.Ordinal);

    /// <summary>Forgets how far the bars went.</summary>
    public void Restart()
    {
        foreach (var axis in bars.Keys.ToArray())
            bars[axis] = bars[axis] with { Low = bars[axis].Now, High = bars[axis].Now };
    }

    /// <summary>How far the guided routine is; null while none runs.</summary>
    public RoutineState? Routine => routine?.State;

    /// <summary>Begins a guided routine, or ends it; before the first frame none begins.</summary>
    public void Guide(
        RoutineKind kind,
        SignalPlan plan,
        IReadOnlyList<Microseconds> received,
        TimeSpan now,
        IReadOnlySet<string> away
    )
    {
        var begins = kind != RoutineKind.None && bars.Count > 0;
        var shows = begins ? Shown(received) : null;
        routine =
            shows is null ? null
            : kind == RoutineKind.Switches ? new SwitchRoutine(plan, shows, now, away)
            : new StickRoutine(shows, now);
    }

    /// <summary>Leaves out what the guided routine asks for.</summary>
    public void Skip(TimeSpan now) => routine?.Skip(now);

    /// <summary>Reads the values of a good frame.</summary>
    /// <returns>True when the guided routine has gone on.</returns>
    public bool See(FlightBoard board, IReadOnlyList<Microseconds> received, TimeSpan now)
    {
        Read(board, received);
        return routine?.Look(Shown(received), now) == true;
    }

    private BoardShows Shown(IReadOnlyList<Microseconds> received) =>
        new(bars.ToDictionary(b => b.Key, b => b.Value.Now), [.. received]);

    private void Read(FlightBoard board, IReadOnlyList<Microseconds> received)
    {
        foreach (var axis in StickAxes.All)
        {
            var channel = board.Map.ChannelOf(axis);
            var shown = board.Scaled(axis, received[channel.Value - 1]);
            if (!bars.TryGetValue(axis, out var bar) || bar.Now != shown || bar.Channel != channel)
                bars[axis] = BarTravel.Of(bar, axis, channel, shown);
        }
    }
}
