using Zephyros.Core.Board;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The transmitter on the bench: its controls, its model, and what it has to say.</summary>
internal sealed class BenchTransmitter
{
    /// <summary>How often a transmitter works out its model while something in it runs by itself.</summary>
    [Figure(Station.Model, "A transmitter works out its model every", ProvenanceKind.OwnAssumption)]
    public static readonly TimeSpan ModelPeriod = TimeSpan.FromMilliseconds(10);

    private readonly SignalPlan plan;
    private readonly double[] settings;
    private readonly HeardReadings heard;
    private Announcer announcer;
    private Voice voice;
    private BenchTimers timers;
    private TimeSpan lastModel;
    private TimeSpan mayStart = TimeSpan.MinValue;

    /// <summary>A transmitter with every control at its start position, switched on.</summary>
    public BenchTransmitter(SignalPlan plan)
    {
        this.plan = plan;
        Values = plan.CreateValues();
        settings = [.. plan.Model.Controls.Select(c => c.Value.StartSetting)];
        heard = new HeardReadings(plan.Model.Sensors);
        announcer = new Announcer(plan);
        voice = new Voice(plan, heard.Spoken, TimeOf);
        timers = new BenchTimers(plan);
    }

    /// <summary>The values along the path.</summary>
    public SignalValues Values { get; private set; }

    /// <summary>True while it is switched on.</summary>
    public bool On { get; private set; } = true;

    /// <summary>Where each control stands; see <see cref="BenchRun.Move(string, double)"/>.</summary>
    public IReadOnlyDictionary<string, double> Settings =>
        plan
            .Model.Controls.Select((c, i) => (c.Key, settings[i]))
            .ToDictionary(s => s.Key, s => s.Item2, StringComparer.Ordinal);

    /// <summary>The controls that do not stand at their start.</summary>
    public IReadOnlySet<string> Away =>
        plan
            .Model.Controls.Where((c, i) => settings[i] != c.Value.StartSetting)
            .Select(c => c.Key)
            .ToHashSet(StringComparer.Ordinal);

    /// <summary>What it has heard last of each sensor.</summary>
    public IReadOnlyDictionary<string, Reading> Readings =>
        plan
            .Model.Sensors.Select((s, i) => (s.Key, Values.Readings[i]))
            .ToDictionary(s => s.Key, s => s.Item2, StringComparer.Ordinal);

    /// <summary>When it will have started after it was switched on; <see cref="TimeSpan.MaxValue"/> when it is not starting.</summary>
    public TimeSpan Starting { get; private set; } = TimeSpan.MaxValue;

    /// <summary>When something in the model goes on by itself; <see cref="TimeSpan.MaxValue"/> when nothing does.</summary>
    public TimeSpan NextModel => On && Values.Memory.Restless ? lastModel + ModelPeriod : TimeSpan.MaxValue;

    /// <summary>True when something in the model has gone on by itself since it was last worked out.</summary>
    public bool IsBehind(TimeSpan now) => On && Values.Memory.Restless && lastModel < now;

    /// <summary>When something is said again.</summary>
    public TimeSpan NextSaying => On ? announcer.Next : TimeSpan.MaxValue;

    /// <summary>When something that waits to be spoken has its turn.</summary>
    public TimeSpan NextSpeech => On ? voice.Next : TimeSpan.MaxValue;

    /// <summary>When a timer calls out or shows another second.</summary>
    public TimeSpan NextTimer => On ? timers.Next : TimeSpan.MaxValue;

    /// <summary>The same transmitter with another plan: controls and readings stay where it still has them, and it remembers what it
    /// can.</summary>
    public BenchTransmitter With(SignalPlan next)
    {
        var made = new BenchTransmitter(next)
        {
            On = On,
            Values = next.GoOn(plan, Values),
            Starting = Starting,
            lastModel = lastModel,
            mayStart = mayStart,
        };
        made.announcer.GoOnAfter(announcer);
        made.voice.GoOnAfter(voice, u => u.IsCall || made.announcer.Knows(u));
        made.timers.GoOnAfter(timers);
        foreach (var (id, setting) in Settings)
            made.Put(id, setting);
        foreach (var (id, reading) in Readings)
            if (made.IndexOf(id) is >= 0 and var index)
                made.Values.Readings[index] = reading;
        made.heard.GoOnAfter(heard);
        return made;
    }

    /// <summary>Another transmitter that stands as this one does.</summary>
    public BenchTransmitter Copy()
    {
        var made = new BenchTransmitter(plan)
        {
            On = On,
            Starting = Starting,
            lastModel = lastModel,
            mayStart = mayStart,
        };
        made.Values.Become(Values);
        settings.CopyTo(made.settings, 0);
        made.announcer.GoOnAfter(announcer);
        made.voice.GoOnAfter(voice, _ => true);
        made.timers.GoOnAfter(timers);
        made.heard.GoOnAfter(heard);
        return made;
    }

    /// <summary>True when there is such a control and it can be put there.</summary>
    public bool Takes(string control, double setting) =>
        plan.Model.IndexOf(control) is >= 0 and var index && plan.Model.Controls[index].Value.Read(setting) is not null;

    /// <summary>Puts a control somewhere; false when there is no such control or it cannot be put there.</summary>
    public bool Put(string control, double setting)
    {
        var index = plan.Model.IndexOf(control);
        if (index < 0 || plan.Model.Controls[index].Value.Read(setting) is not { } value)
            return false;
        Values.Hands[index] = value;
        settings[index] = setting;
        return true;
    }

    /// <summary>Where a control stands.</summary>
    public double SettingOf(string control) => settings[plan.Model.IndexOf(control)];

    /// <summary>What it has heard last of a sensor.</summary>
    public double ReadingOf(string sensor) => Values.Readings[IndexOf(sensor)].Value;

    /// <summary>The same; null when nothing came of it.</summary>
    public Reading? HeardOf(string sensor) => heard.Spoken(new SpokenValue { Sensor = sensor });

    /// <summary>True when the model knows a sensor.</summary>
    public bool HasSensor(string sensor) => IndexOf(sensor) >= 0;

    /// <summary>Takes a reading of a sensor of the model in, with as many decimals as it keeps.</summary>
    public void Hear(string sensor, Reading reading, TimeSpan now)
    {
        var index = IndexOf(sensor);
        Values.Readings[index] = plan.Model.Sensors[index].Value.Kept(reading);
        heard.Take(index, Values.Readings[index], now);
    }

    /// <summary>Begins anew to keep the lowest and highest readings.</summary>
    public void ResetExtremes() => heard.ResetExtremes();

    /// <summary>Lets a timer begin anew.</summary>
    /// <returns>What is then told; null when there is no such timer.</returns>
    public string? ResetTimer(string id) => timers.Reset(id) is var (timer, counted) ? Begun(timer, counted) : null;

    /// <summary>What each timer shows, by its id.</summary>
    public IReadOnlyDictionary<string, TimerPicture> Timers(TimeSpan now) => timers.Look(now);

    /// <summary>What is known of a sensor of the model.</summary>
    /// <param name="sensor">Its id.</param>
    /// <param name="held">True while it is held by hand.</param>
    public SensorPicture Picture(string sensor, bool held)
    {
        var (at, lowest, highest) = heard.Of(sensor);
        var words = plan.Setup.Model.Sensors[sensor].Words(new Reading(ReadingOf(sensor)));
        return new SensorPicture(
            at is { } time ? new Milliseconds(time.TotalMilliseconds) : null,
            held,
            lowest,
            highest,
            words
        );
    }

    /// <summary>Switches it on or off. It is on once its restart time has passed, and then remembers nothing of what was before.</summary>
    public void Switch(bool on, TimeSpan now)
    {
        if (on && now < mayStart)
        {
            Starting = mayStart;
            return;
        }

        (On, Starting) = (on, TimeSpan.MaxValue);
        voice = new Voice(plan, heard.Spoken, TimeOf);
        timers = new BenchTimers(plan);
        timers.Reach(now);
        if (!on)
        {
            mayStart = now + plan.Setup.Transmitter.RestartTime.ToTimeSpan();
            return;
        }

        var before = Values;
        Values = plan.CreateValues();
        announcer = new Announcer(plan);
        before.Hands.CopyTo(Values.Hands, 0);
        before.Readings.CopyTo(Values.Readings, 0);
        heard.Forget();
        lastModel = now;
    }

    /// <summary>Works out the model, unless it is switched off.</summary>
    /// <param name="telemetryLost">True while no telemetry arrives.</param>
    /// <param name="now">The time.</param>
    /// <returns>What it begins to speak, and which timers begin anew.</returns>
    public (IReadOnlyList<Spoken> Speaks, IReadOnlyList<string> Begun) RunModel(bool telemetryLost, TimeSpan now)
    {
        Values.TelemetryLost = telemetryLost;
        // While nothing was under way nothing was worked out either, and what begins now begins now: a slow step has not gone on since then.
        var elapsed = Values.Memory.Restless ? now - lastModel : TimeSpan.Zero;
        lastModel = now;
        if (!On)
            return ([], []);
        plan.Evaluate(Values, elapsed);
        Take(timers.Reach(now).Select(Utterance.Call));
        Take(announcer.AfterModel(Values.Memory, telemetryLost, now));
        var begun = new List<string>();
        foreach (var (timer, counted) in timers.Follow(Values))
        {
            if (timer.Reset!.Readings)
                heard.ResetExtremes();
            if (counted > TimeSpan.Zero)
                begun.Add(Begun(timer, counted));
        }

        return (Speak(now), begun);
    }

    /// <summary>Takes in what timers call out up to a time.</summary>
    public void CallTimers(TimeSpan now) => Take(timers.Reach(now).Select(Utterance.Call));

    /// <summary>Takes in what is to be said again now.</summary>
    public void Repeat(TimeSpan now)
    {
        foreach (var utterance in announcer.Repeat(now))
            voice.Remind(utterance, now);
    }

    /// <summary>Takes in what is to be said of a packet of telemetry.</summary>
    public void Hear(BoardState board, BoardReading reading) => Take(announcer.AfterPacket(board, reading));

    /// <summary>What it begins to speak now, of what it has taken in; see <see cref="Voice.Speak"/>.</summary>
    public IReadOnlyList<Spoken> Speak(TimeSpan now, bool turn = false) =>
        voice.Speak(Values.Memory, Values.TelemetryLost, now, turn);

    private Milliseconds? TimeOf(string timer) => timers.ShownBy(timer);

    private void Take(IEnumerable<Utterance> utterances)
    {
        foreach (var utterance in utterances)
            voice.Take(utterance);
    }

    private static string Begun(FlightTimer timer, TimeSpan counted) =>
        $"{timer.Label} begins anew at {TimerWords.Shown(timer, counted)}";

    private int IndexOf(string sensor)
    {
        var index = plan.Model.Sensors.Count - 1;
        while (index >= 0 && plan.Model.Sensors[index].Key != sensor)
            index--;
        return index;
    }
}
