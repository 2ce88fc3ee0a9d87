using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The timers of the transmitter: how far each has counted, what it calls out and what resets it.</summary>
internal sealed class BenchTimers
{
    private readonly SignalPlan plan;
    private readonly KeyValuePair<string, FlightTimer>[] timers;
    private readonly int[] weights;
    private readonly TimerCount[] counts;
    private TimeSpan reached;

    /// <summary>Timers that have counted nothing yet.</summary>
    public BenchTimers(SignalPlan plan)
    {
        this.plan = plan;
        timers = [.. plan.Setup.Model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal)];
        weights = [.. timers.Select(t => t.Value.Weight is { } control ? plan.Model.IndexOf(control) : -1)];
        counts = new TimerCount[timers.Length];
    }

    /// <summary>When a timer calls out or shows another second; <see cref="TimeSpan.MaxValue"/> while all stand still.</summary>
    public TimeSpan Next
    {
        get
        {
            var first = TimeSpan.MaxValue;
            for (var i = 0; i < timers.Length; i++)
            {
                first = Earlier(first, TimerWords.WholeSeconds(counts[i].Counted) + TimeSpan.FromSeconds(1));
                foreach (var call in timers[i].Value.Calls)
                    first = Earlier(first, timers[i].Value.CountAt(call));
                TimeSpan Earlier(TimeSpan known, TimeSpan counted) =>
                    counts[i].Until(counted) is var wait && wait < known ? wait : known;
            }

            return first == TimeSpan.MaxValue ? first : reached + first;
        }
    }

    /// <summary>Lets them count up to a time.</summary>
    /// <returns>What is called out meanwhile.</returns>
    public IReadOnlyList<string> Reach(TimeSpan now)
    {
        var calls = new List<string>();
        for (var i = 0; i < timers.Length; i++)
        {
            var before = counts[i].Ticks;
            counts[i] = counts[i].After(now - reached);
            foreach (var call in timers[i].Value.Calls.OrderBy(timers[i].Value.CountAt))
                if (timers[i].Value.CountAt(call).Ticks is var at && at > before && at <= counts[i].Ticks)
                    calls.Add(TimerWords.Call(timers[i].Value, call));
        }

        reached = now;
        return calls;
    }

    /// <summary>Looks at what the model makes of them, once it has run and they have counted up to now.</summary>
    /// <returns>The timers that begin anew, with what they had counted.</returns>
    public IReadOnlyList<(FlightTimer Timer, TimeSpan Counted)> Follow(SignalValues values)
    {
        var begun = new List<(FlightTimer, TimeSpan)>();
        for (var i = 0; i < timers.Length; i++)
        {
            var timer = timers[i].Value;
            var resets = timer.Reset is { Enabled: true, When: var when } && plan.Model.Holds(values.Memory, when);
            if (resets && !counts[i].Resets)
                begun.Add((timer, counts[i].Counted));
            counts[i] = counts[i].Follow(Rate(i, values), resets);
        }

        return begun;
    }

    /// <summary>Lets a timer begin anew by hand.</summary>
    /// <returns>The timer and what it had counted; null when there is no such timer.</returns>
    public (FlightTimer Timer, TimeSpan Counted)? Reset(string id)
    {
        var place = Array.FindIndex(timers, t => t.Key == id);
        if (place < 0)
            return null;
        var counted = counts[place].Counted;
        counts[place] = counts[place] with { Ticks = 0 };
        return (timers[place].Value, counted);
    }

    /// <summary>What a timer shows since they were last reached; null when there is none.</summary>
    public Milliseconds? ShownBy(string id)
    {
        var place = Array.FindIndex(timers, t => t.Key == id);
        return place < 0 ? null : timers[place].Value.Shows(TimerWords.WholeSeconds(counts[place].Counted));
    }

    /// <summary>What each shows at a time, by its id.</summary>
    public IReadOnlyDictionary<string, TimerPicture> Look(TimeSpan now) =>
        timers
            .Select((t, i) => (t.Key, Made: Picture(t.Value, counts[i].After(now - reached))))
            .ToDictionary(t => t.Key, t => t.Made, StringComparer.Ordinal);

    /// <summary>Goes on where others were, for the timers that are still there. A reset that is another must begin to hold first.</summary>
    public void GoOnAfter(BenchTimers before)
    {
        reached = before.reached;
        for (var i = 0; i < timers.Length; i++)
            if (Array.FindIndex(before.timers, t => t.Key == timers[i].Key) is >= 0 and var place)
                counts[i] = before.counts[place] with
                {
                    Resets = before.counts[place].Resets || timers[i].Value.Reset != before.timers[place].Value.Reset,
                };
    }

    private double Rate(int timer, SignalValues values)
    {
        if (timers[timer].Value.While is not { } when || !plan.Model.Holds(values.Memory, when))
            return 0;
        var (low, high) = (Percent.Low.Value, Percent.High.Value);
        return weights[timer] < 0 ? 1 : Math.Clamp((values.Hands[weights[timer]].Value - low) / (high - low), 0, 1);
    }

    private static TimerPicture Picture(FlightTimer timer, TimerCount count) =>
        new(TimerWords.Shown(timer, count.Counted), count.Rate > 0, new Milliseconds(count.Counted.TotalMilliseconds));
}
