using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The voice of the transmitter: it speaks one thing at a time, and what is more urgent first. Not safe for use by several
/// threads.</summary>
/// <remarks>An alarm ends what is less urgent, which is spoken anew afterwards. What waits already and is set off again moves to the end, so
/// no more waits than there are things to say.</remarks>
/// <param name="plan">The setup.</param>
/// <param name="readings">What the transmitter knows of a sensor; null when nothing came of it.</param>
/// <param name="times">What a timer shows now, by its id; null where that is not known.</param>
internal sealed class Voice(SignalPlan plan, Func<SpokenValue, Reading?> readings, Func<string, Milliseconds?> times)
{
    private readonly List<Utterance> waiting = [];

    // Sensors of the craft of which it was said that they are lost.
    private readonly HashSet<string> toldLost = new(StringComparer.Ordinal);
    private Utterance? speaks;
    private TimeSpan until;

    /// <summary>When something that waits can be spoken; <see cref="TimeSpan.MaxValue"/> when nothing waits.</summary>
    public TimeSpan Next => waiting.Count > 0 ? until : TimeSpan.MaxValue;

    /// <summary>Takes something in that is to be spoken.</summary>
    public void Take(Utterance utterance)
    {
        waiting.Remove(utterance);
        waiting.Add(utterance);
    }

    /// <summary>The same for what is only a reminder: it is left out while it is just spoken, or waits.</summary>
    public void Remind(Utterance utterance, TimeSpan now)
    {
        if (!waiting.Contains(utterance) && !(now < until && speaks == utterance))
            waiting.Add(utterance);
    }

    /// <summary>Begins what can be spoken now.</summary>
    /// <remarks>At the instant at which the voice ends something, what waits has its turn once all else of that instant has been done.</remarks>
    /// <param name="memory">What the model remembers.</param>
    /// <param name="telemetryLost">True while no telemetry arrives: what came before is no reading any more.</param>
    /// <param name="now">The time.</param>
    /// <param name="turn">True once all else of this instant has been done.</param>
    public IReadOnlyList<Spoken> Speak(ModelMemory memory, bool telemetryLost, TimeSpan now, bool turn)
    {
        if (!telemetryLost)
            toldLost.Clear();
        if (waiting.Count == 0)
            return [];
        var begun = new List<Spoken>();
        while (waiting.MinBy(u => u.Rank) is { } first)
        {
            var cutsIn = speaks is not null && now < until;
            var waits = cutsIn
                ? first.Rank > SpeechRank.Alarm || speaks!.Rank == SpeechRank.Alarm
                : speaks is not null && now == until && !turn;
            if (waits)
                break;
            waiting.Remove(first);
            if (Words(first, memory, telemetryLost) is not { } text)
                continue;
            // It is the first of its rank again.
            if (cutsIn && !waiting.Contains(speaks!))
                waiting.Insert(0, speaks!);
            var tone = first.Tone is { } before ? ToneSweep.Of(before) : null;
            var time = SpeechTime.Of(text, plan.Setup.Transmitter.WordTime) + (tone?.Length ?? default);
            (speaks, until) = (first, now + time.ToTimeSpan());
            begun.Add(new Spoken(text, tone, cutsIn));
        }

        return begun;
    }

    /// <summary>Goes on where another was: what waits and is still to be said, goes on to wait.</summary>
    /// <param name="before">The other.</param>
    /// <param name="stays">Whether something can be said here as well.</param>
    public void GoOnAfter(Voice before, Func<Utterance, bool> stays)
    {
        (speaks, until) = (before.speaks, before.until);
        foreach (var utterance in before.waiting.Where(stays))
            waiting.Add(utterance);
        toldLost.UnionWith(before.toldLost);
    }

    // Null when it is not worth saying any more. What was heard before telemetry was lost is no reading: that it is lost is said once.
    private string? Words(Utterance made, ModelMemory memory, bool telemetryLost)
    {
        var asked = made.Rank == SpeechRank.Value;
        if (asked && made.When is { } when && !plan.Model.Holds(memory, when))
            return null;
        if (made.Timer is { } timer)
            return times(timer) is { } shows ? $"{made.Says} {TimerWords.Said(shows)}" : made.Says;
        if (made.Value is not { } value)
            return made.Says;
        var sensor = plan.Setup.Model.Sensors[value.Sensor];
        if (telemetryLost && sensor.MeasuredBy != SensorOrigin.Transmitter)
        {
            if (!asked)
                return made.Says;
            return toldLost.Add(value.Sensor) ? $"{sensor.Label} lost" : null;
        }

        // A value that never came is not spoken.
        return readings(value) is { } reading ? $"{made.Says} {SpokenFigures.Of(sensor, reading)}" : made.Says;
    }
}
