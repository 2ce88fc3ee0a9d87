using Zephyros.Core.Bench;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Flights;

/// <summary>What the announcements of a model would have said on a recorded flight, and when its alarms would have held.</summary>
/// <remarks>The same conditions and announcements as on the bench, on the times of the recording. What the board reports of itself (armed,
/// modes) is in no recording and is not said.</remarks>
public sealed class FlightReplay
{
    /// <summary>So many sayings are kept; the others are counted.</summary>
    public const int MostSaid = 5000;

    private const int Often = 4096;

    private readonly List<FlightSaying> said = [];
    private readonly Dictionary<string, HoldingTrack> tracks;
    private readonly FlightHearing hearing;
    private readonly ReplayEvents events;
    private readonly ReplayModel model;
    private readonly HeardReadings heard;
    private readonly Announcer announcer;
    private readonly Voice voice;
    private TimeSpan now;

    private FlightReplay(Setup setup, FlightRecording flight, IReadOnlyList<string> alarms, HearingWay way)
    {
        var spoken = setup.Model.Announcements.Values.Where(a => a.Enabled).Select(a => a.When).OfType<string>();
        var plan = SignalPlan.Compile(ReplaySetup.Of(setup, alarms.Concat(spoken)));
        hearing = new FlightHearing(plan, flight, way);
        events = new ReplayEvents(plan, hearing);
        model = new ReplayModel(plan.Model, FlightHands.Of(setup)) { TelemetryLost = hearing.Never };
        heard = new HeardReadings(plan.Model.Sensors);
        announcer = new Announcer(plan);
        voice = new Voice(plan, heard.Spoken, _ => null);
        Silent = [.. SilentOf(plan)];
        tracks = alarms.ToDictionary(a => a, _ => new HoldingTrack(), StringComparer.Ordinal);
    }

    /// <summary>What was said, in the order of time.</summary>
    public IReadOnlyList<FlightSaying> Said => said;

    /// <summary>How much more was said than is kept.</summary>
    public int NotKept { get; private set; }

    /// <summary>When each alarm held, by the id of its condition.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<Holding>> Held =>
        tracks.ToDictionary(t => t.Key, t => t.Value.Held, StringComparer.Ordinal);

    /// <summary>True when the rows were taken as measured at the craft, and brought down by telemetry.</summary>
    public bool AtCraft => hearing.AtCraft;

    /// <summary>What the model asks and never heard, in sentences: it was not recorded, or does not come.</summary>
    public IReadOnlyList<string> Silent { get; }

    /// <summary>Runs a flight through a model.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="flight">The flight.</param>
    /// <param name="alarms">The ids of conditions of which it is looked when they hold.</param>
    /// <param name="way">Where the flight was recorded.</param>
    /// <param name="cancel">Ends the work early.</param>
    /// <exception cref="OperationCanceledException">The work was ended early.</exception>
    public static FlightReplay Run(
        Setup setup,
        FlightRecording flight,
        IReadOnlyList<string> alarms,
        HearingWay way,
        CancellationToken cancel
    )
    {
        var made = new FlightReplay(setup, flight, alarms, way);
        made.Run(cancel);
        return made;
    }

    private IEnumerable<string> SilentOf(SignalPlan plan)
    {
        var limits = SensorLimits.Of(plan.Setup.Model);
        var heardOf = hearing.Sensors.Select(s => s.Id).ToHashSet(StringComparer.Ordinal);
        var back = ReturnPlan.Of(plan.Setup);
        return from sensor in plan.Model.Sensors
            where !limits[sensor.Key].Ignored && !heardOf.Contains(sensor.Key)
            select hearing.AtCraft && back.Sensors[sensor.Key].Obstacle is { } obstacle
                ? $"{sensor.Value.Label} does not come: {obstacle.Words}"
                : $"{sensor.Value.Label} is not in the recording, and stays at {sensor.Value.Words(sensor.Value.Bench)}.";
    }

    private void Run(CancellationToken cancel)
    {
        WorkOut();
        var count = 0;
        foreach (var happening in events.All(ignored: true))
        {
            if (count++ % Often == 0)
                cancel.ThrowIfCancellationRequested();
            // A hand that moves at the very instant at which the voice has ended comes after what waited.
            PassTo(happening.At, turn: happening.ByHand);
            now = happening.At;
            if (happening.Matters)
                Reach();
            happening.Put(model);
            if (happening.Heard is { } reading)
                heard.Take(happening.Place, reading, now);
            if (happening.Matters)
                WorkOut();
        }

        PassTo(hearing.Flight.End, turn: true);
        now = hearing.Flight.End;
        foreach (var track in tracks.Values)
            track.End(now);
    }

    // What comes by itself until then. At the same instant it is as on the bench: what is said again, then the model, and the voice once
    // all else has been done: not before what comes then, where that is not the turn of a hand or the end.
    private void PassTo(TimeSpan at, bool turn)
    {
        while (true)
        {
            var (again, works, speaks) = (announcer.Next, model.Next, voice.Next);
            if ((turn ? speaks <= at : speaks < at) && speaks < again && speaks < works)
            {
                now = speaks;
                Speak(turn: true);
            }
            else if (again <= works && again <= at)
            {
                now = again;
                foreach (var utterance in announcer.Repeat(now))
                    voice.Remind(utterance, now);
                Speak();
            }
            else if (works <= at)
            {
                now = works;
                WorkOut();
            }
            else
            {
                return;
            }
        }
    }

    private void Reach()
    {
        if (model.Reach(now))
            Look();
    }

    private void WorkOut()
    {
        model.Run(now);
        Look();
    }

    private void Look()
    {
        foreach (var utterance in announcer.AfterModel(model.Memory, model.TelemetryLost, now))
            voice.Take(utterance);
        Speak();
        foreach (var (alarm, track) in tracks)
            track.Look(model.Holds(alarm), model.TelemetryLost, now);
    }

    private void Speak(bool turn = false)
    {
        foreach (var spoken in voice.Speak(model.Memory, model.TelemetryLost, now, turn))
            if (said.Count < MostSaid)
                said.Add(new FlightSaying(now, spoken.Text));
            else
                NotKept++;
    }
}
