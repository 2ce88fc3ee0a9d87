using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>The measuring routine for switches and buttons: each step says where to put one, and ends once a channel has moved and
/// everything has rested for a second. It begins and ends with every control at its start position; one that is known to stand elsewhere
/// is asked for first.</summary>
public sealed class SwitchRoutine : IRoutine
{
    [Figure(
        Station.Hands,
        "In the guided routine a switch rests while its channel stays within",
        ProvenanceKind.OwnAssumption,
        Unit = "µs"
    )]
    private const double Still = 8;

    [Figure(Station.Hands, "In the guided routine a switch must rest for", ProvenanceKind.OwnAssumption)]
    private static readonly TimeSpan Rest = TimeSpan.FromSeconds(1);

    private readonly List<(string Id, Control Control, ControlPosition Position, ChannelNumber[] Channels)> steps = [];
    private readonly int back;
    private readonly List<PositionSeen> positions = [];
    private readonly int[] watched;
    private IReadOnlyList<Microseconds> from;
    private IReadOnlyList<Microseconds> resting;
    private double[] least;
    private double[] most;
    private TimeSpan since;
    private string problem = "";
    private int place;

    /// <summary>Begins.</summary>
    /// <param name="plan">The setup that is measured.</param>
    /// <param name="seen">What the board shows.</param>
    /// <param name="now">The time.</param>
    /// <param name="away">The ids of the controls that are known not to be at their start; none when that cannot be known.</param>
    public SwitchRoutine(SignalPlan plan, BoardShows seen, TimeSpan now, IReadOnlySet<string>? away = null)
    {
        (from, resting, since) = (seen.Channels, seen.Channels, now);
        (least, most) = Fresh(seen.Channels);
        watched = [.. Watched(plan, seen.Channels.Count)];
        var rows = MeasuredRows.Of(plan).ToLookup(r => r.Control, StringComparer.Ordinal);
        foreach (var (id, control) in plan.Model.Controls)
        {
            var channels = rows[id].Select(r => r.Channel).ToArray();
            if (channels.Length == 0)
                continue;
            // A position that gives what the one before gave cannot be seen; the start comes last.
            foreach (var position in control.NamedPositions.OrderBy(p => p.Setting == control.StartSetting))
                steps.Add((id, control, position, channels));
            if (away?.Contains(id) == true)
                steps.Insert(back++, steps[^1]);
        }
    }

    /// <summary>What a hand does that follows it.</summary>
    public IReadOnlyList<(string Control, double Setting)> Movements =>
        [.. steps.Select(s => (s.Id, s.Position.Setting))];

    /// <inheritdoc />
    public RoutineState State =>
        new(
            place == steps.Count,
            place == steps.Count ? "Done. Every switch is measured." : Prompt,
            problem,
            place == steps.Count ? RoutineAsk.Nothing : new([], steps[place].Channels, AtRest: true),
            place,
            steps.Count,
            BoardReadings.None with
            {
                Positions = [.. positions],
            }
        );

    private string Prompt =>
        steps[place].Control is ButtonControl
            ? steps[place].Position.Setting == steps[place].Control.StartSetting
                ? $"Let {steps[place].Control.Name} go."
                : $"Press {steps[place].Control.Name}, and hold it."
            : $"Put {steps[place].Control.Name} at {steps[place].Position.Name}.";

    /// <inheritdoc />
    public bool Look(BoardShows seen, TimeSpan now)
    {
        if (place == steps.Count)
            return false;
        var channels = seen.Channels;
        if (Array.Exists(watched, i => Math.Abs(channels[i].Value - resting[i].Value) > Still))
        {
            (resting, since) = (channels, now);
            (least, most) = Fresh(channels);
            return false;
        }

        for (var i = 0; i < least.Length; i++)
            (least[i], most[i]) = (Math.Min(least[i], channels[i].Value), Math.Max(most[i], channels[i].Value));
        return now - since >= Rest && Take(channels, now);
    }

    /// <inheritdoc />
    public void Skip(TimeSpan now)
    {
        place = Math.Min(place + 1, steps.Count);
        (from, since, problem) = (resting, now, "");
    }

    private bool Take(IReadOnlyList<Microseconds> channels, TimeSpan now)
    {
        var (id, control, position, own) = steps[place];
        int[] moved = [.. watched.Where(i => Math.Abs(channels[i].Value - from[i].Value) > MeasuredRows.Apart)];
        var before = problem;
        var strange = moved.Select(i => new ChannelNumber(i + 1)).Except(own).ToArray();
        problem =
            strange.Length == 0 || moved.Length > strange.Length
                ? ""
                : $"{string.Join(" and ", strange)} answered, not {string.Join(" or ", own)}. Is it the right switch?";
        if (moved.Length == 0 || problem.Length > 0)
            return problem != before;
        foreach (var channel in place < back ? [] : own)
            positions.Add(
                new PositionSeen
                {
                    Control = id,
                    Setting = (int)position.Setting,
                    Channel = channel,
                    Value = new Microseconds(Math.Round(channels[channel.Value - 1].Value)),
                    Jitter = new Microseconds(Math.Round(most[channel.Value - 1] - least[channel.Value - 1], 1)),
                }
            );
        place++;
        // What is seen of the next position begins with its movement.
        (from, since) = (resting, now);
        return true;
    }

    // The AUX channels but those that move by themselves with the link.
    private static IEnumerable<int> Watched(SignalPlan plan, int channels)
    {
        for (var i = ChannelNumber.StickChannels; i < channels; i++)
            if (i != plan.QualityPlace && plan.ChannelAt(new ChannelNumber(i + 1))?.Channel.Take is not SensorSource)
                yield return i;
    }

    private static (double[] Least, double[] Most) Fresh(IReadOnlyList<Microseconds> channels) =>
        ([.. channels.Select(c => c.Value)], [.. channels.Select(c => c.Value)]);
}
