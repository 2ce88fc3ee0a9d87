using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>Lets the guided routines measure a board that nothing here can see: the pilot reads it and types what it shows, step by
/// step. The same readings always lead to the same step, so a reading is taken back by leaving it away.</summary>
public sealed class TypedRoutine
{
    // Longer than any step rests.
    private static readonly TimeSpan Pause = TimeSpan.FromSeconds(2);

    private readonly IRoutine routine;
    private readonly Dictionary<StickAxis, Microseconds> bars;
    private readonly Microseconds[] channels;
    private readonly Dictionary<string, Microseconds> wander = new(StringComparer.Ordinal);
    private readonly List<Microseconds> positionWander = [];
    private TimeSpan now;

    private TypedRoutine(SignalPlan plan, RoutineKind kind)
    {
        // Nobody read anything yet. An end of a bar lies far from its middle; no channel is at 0, so any first value counts.
        bars = StickAxes.All.ToDictionary(a => a, _ => Microseconds.Neutral);
        channels = new Microseconds[plan.CreateValues().Received.Length];
        routine = kind switch
        {
            RoutineKind.Sticks => new StickRoutine(Shown(), now),
            RoutineKind.Switches => new SwitchRoutine(plan, Shown(), now),
            RoutineKind.None => throw new ArgumentOutOfRangeException(
                nameof(kind),
                kind,
                "It measures sticks or switches."
            ),
        };
    }

    /// <summary>Where a routine stands after these readings.</summary>
    /// <param name="plan">The setup that is measured.</param>
    /// <param name="kind">The routine.</param>
    /// <param name="readings">What was typed, the first first.</param>
    /// <exception cref="ArgumentOutOfRangeException">The kind is <see cref="RoutineKind.None"/>.</exception>
    public static TypedAnswer After(SignalPlan plan, RoutineKind kind, IReadOnlyList<TypedReading> readings)
    {
        var typed = new TypedRoutine(plan, kind);
        foreach (var (i, reading) in readings.Index())
        {
            var before = typed.State();
            if (typed.Take(reading, before) is { } problem)
                return new(before, problem with { Place = $"/readings/{i}{problem.Place}" });
        }

        return new(typed.State(), null);
    }

    private RoutineState State()
    {
        var state = routine.State;
        var seen = state.Readings;
        return state with
        {
            Readings = seen with
            {
                Sweeps = seen.Sweeps.ToDictionary(
                    s => s.Key,
                    s => s.Value with { Jitter = wander.GetValueOrDefault(s.Key) },
                    StringComparer.Ordinal
                ),
                Positions = [.. seen.Positions.Zip(positionWander, (p, jitter) => p with { Jitter = jitter })],
            },
        };
    }

    private SetupProblem? Take(TypedReading reading, RoutineState before)
    {
        if (before.Done)
            return new("", "Everything is measured already.");
        if (reading.Values.IsEmpty)
        {
            routine.Skip(now);
            return null;
        }

        var count = Math.Max(1, before.Asks.Channels.Count);
        if (reading.Values.Length != count)
            return new("/values", $"This step asks for {count} values, not {reading.Values.Length}.");
        if (Put(reading, before.Asks) is { } problem)
            return problem;
        now += Pause;
        // It moved, and then it rested.
        var advanced = routine.Look(Shown(), now);
        now += Pause;
        advanced |= routine.Look(Shown(), now);
        if (!advanced)
            return new("/values/0", $"{reading.Values[0]} is too near to what was read before. Did it move?");
        while (positionWander.Count < routine.State.Readings.Positions.Count)
            positionWander.Add(reading.Jitter);
        return NoCentre(before.Asks);
    }

    private SetupProblem? Put(TypedReading reading, RoutineAsk asks)
    {
        foreach (var (channel, value) in asks.Channels.Zip(reading.Values))
            channels[channel.Value - 1] = value;
        if (asks.Bars is not [var likely, ..])
            return null;
        var bar = reading.Bar ?? likely;
        if (!asks.Bars.Contains(bar))
            return new("/bar", $"{bar.Word()} cannot answer now: {likely.Word()} did before.");
        bars[bar] = reading.Values[0];
        if (asks.AtRest)
            wander[bar.Word()] = reading.Jitter;
        return null;
    }

    private SetupProblem? NoCentre(RoutineAsk asks) =>
        asks is { AtRest: true, Bars: [var bar] }
        && routine.State.Readings.Sweeps[bar.Word()] is var sweep
        && (sweep.Centre <= sweep.Low || sweep.Centre >= sweep.High)
            ? new(
                "/values/0",
                $"{sweep.Centre} is no centre: {bar.Word()} went from {sweep.Low} to {sweep.High}. Was the stick let go?"
            )
            : null;

    private BoardShows Shown() => new(bars.ToImmutableDictionary(), [.. channels]);
}
