using Zephyros.Core.Path.Trace;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

// What a bench shows; nothing here changes it.
public sealed partial class BenchRun
{
    /// <summary>The picture at this moment.</summary>
    /// <param name="follow">The control to follow; an unknown id follows the first control.</param>
    /// <param name="known">The number of the newest entry of the log that is known already; the picture carries those after it.</param>
    /// <param name="workings">True when the sums along the path are wanted as well; without them a picture is half the work.</param>
    public BenchSnapshot Snapshot(string follow, long known = 0, bool workings = true)
    {
        return new BenchSnapshot
        {
            Sequence = Sequence,
            At = new Milliseconds(now.TotalMilliseconds),
            Settings = transmitter.Settings,
            Steps = plan.Model.Channels.ToDictionary(
                c => c.Id,
                c => (IReadOnlyList<Percent>)Values.Slots[c.FirstSlot..(c.LastSlot + 1)],
                StringComparer.Ordinal
            ),
            Conditions = plan.Model.Conditions.ToDictionary(
                id => id,
                id => plan.Model.Holds(Values.Memory, id),
                StringComparer.Ordinal
            ),
            State = plan.Model.ActiveState(Values.Memory),
            Forced = Forced(),
            Readings = transmitter.Readings,
            Measured = Measured().ToDictionary(m => m.Id, m => m.Reading, StringComparer.Ordinal),
            Sensors = plan.Model.Sensors.ToDictionary(
                s => s.Key,
                s => transmitter.Picture(s.Key, sensors.IsHeld(s.Key)),
                StringComparer.Ordinal
            ),
            Battery = battery.Look(plan, now),
            Timers = transmitter.Timers(now),
            Sent = [.. Values.Sent],
            Received = [.. seen],
            Bars = watch.Bars,
            Routine = watch.Routine,
            Trial = trial?.State,
            Link = Link,
            Air = receiver.Way.At is { } at
                ? new BenchAir(
                    at.Distance,
                    new Percent(Sending && receiver.Way.Up ? receiver.Way.Quality.Value : 0),
                    at.Strength,
                    at.Margin
                )
                : null,
            TelemetryLost = TelemetryLost,
            Power = Power,
            Surroundings = Surroundings,
            Board = Says,
            Motors = Board.Motors,
            Trace = Trace(follow, workings),
            Log = Log.After(known),
        };
    }

    /// <summary>What the board says.</summary>
    internal BoardReport Says => board.Report;

    /// <summary>A control along the path; an unknown id follows the first control.</summary>
    internal PathTrace Trace(string follow, bool workings = true) =>
        new PathTracer(plan, Values, OnTheWay, Board, seen, workings).Follow(
            plan.Model.IndexOf(follow) >= 0 ? follow : plan.Model.Controls[0].Key
        );

    private OnTheWay OnTheWay =>
        new(
            receiver.Heard,
            receiver.Sent,
            Power && Sending && receiver.Way.Up,
            !Power ? "the receiver has no power"
                : receiver.Sends(Sending && receiver.Way.Up) ? ""
                : "the receiver sends nothing"
        );

    /// <summary>Every channel at three places, and where they first part.</summary>
    public IReadOnlyList<ComparedChannel> Comparison() =>
        new StationComparison(
            plan,
            Values.Sent,
            watch.Bars.Count > 0 ? seen : null,
            Sending && receiver.Way.Up,
            receiver.Way.At is not null,
            Board.HasSignal
        ).Channels();

    private Dictionary<string, string> Forced()
    {
        var forced = new Dictionary<string, string>(StringComparer.Ordinal);
        for (var i = 0; i < plan.Model.Channels.Count; i++)
            if (plan.Model.HoldingOverride(plan.Setup.Model, Values.Memory, i) is { } id)
                forced[plan.Model.Channels[i].Id] = id;
        return forced;
    }
}
