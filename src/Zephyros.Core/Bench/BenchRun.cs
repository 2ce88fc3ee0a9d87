using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>A simulated transmitter, link, receiver and board on a virtual clock. The same movements at the same times give the same
/// pictures. Not safe for use by several threads.</summary>
public sealed partial class BenchRun
{
    private SignalPlan plan;
    private ReturnPlan back;
    private BenchTransmitter transmitter;
    private Microseconds[] seen;
    private readonly BenchReceiver receiver;
    private readonly BenchDownLink downLink;
    private readonly BenchSensors sensors;
    private readonly BenchBattery battery;
    private readonly BarWatch watch = new();
    private readonly BenchBoard board;
    private readonly BenchAgenda agenda;
    private TimeSpan now;
    private TimeSpan nextFrame;
    private TimeSpan poweredAt;
    private long changes = 1;
    private LossTrial? trial;
    private IReadOnlyDictionary<ChannelNumber, Microseconds> trembling = ImmutableDictionary<
        ChannelNumber,
        Microseconds
    >.Empty;

    /// <summary>A bench with every control at its start position, the link up and the craft just powered.</summary>
    public BenchRun(Setup setup)
    {
        plan = SignalPlan.Compile(setup);
        back = ReturnPlan.Of(setup);
        transmitter = new BenchTransmitter(plan);
        seen = new Microseconds[Values.Received.Length];
        receiver = new BenchReceiver(plan);
        downLink = new BenchDownLink(setup.Air, now);
        (sensors, battery) = (new BenchSensors(), new BenchBattery());
        agenda = Agenda();
        board = new BenchBoard(plan, Log);
        RunModel();
    }

    private BenchRun(BenchRun other)
    {
        (plan, back, now, nextFrame, poweredAt) = (other.plan, other.back, other.now, other.nextFrame, other.poweredAt);
        (transmitter, receiver) = (other.transmitter.Copy(), other.receiver.Copy());
        (downLink, sensors) = (other.downLink.Copy(), other.sensors.Copy());
        battery = other.battery.Copy();
        (seen, trembling) = ([.. other.seen], other.trembling);
        (Link, Telemetry) = (other.Link, other.Telemetry);
        board = new BenchBoard(other.board, Log);
        agenda = Agenda();
    }

    /// <summary>Another bench that stands as this one does at this moment; what is done to one of them does nothing to the other.</summary>
    /// <remarks>Its log begins empty, its bars with the next frame, and it guides no routine.</remarks>
    public BenchRun Fork() => new(this);

    /// <summary>Counts the changes that a page would show.</summary>
    public long Sequence => changes + board.Changes + Log.Count;

    /// <summary>What was said and what happened.</summary>
    public BenchLog Log { get; } = new();

    /// <summary>True while the radio link is up.</summary>
    public bool Link { get; private set; } = true;

    /// <summary>True while the transmitter is switched on.</summary>
    public bool TransmitterOn => transmitter.On;

    /// <summary>True while nothing holds telemetry back on its way; packets come when the link is up and the craft has power as well.</summary>
    public bool Telemetry { get; private set; } = true;

    /// <summary>True while the craft's battery is connected.</summary>
    public bool Power => board.State.Powered;

    /// <summary>The state of the board.</summary>
    public BoardState Board => board.State;

    /// <summary>True when the receiver has had a frame by radio since it got power.</summary>
    internal bool Linked => receiver.Linked;

    /// <summary>True while good frames arrive at the board, by radio or not.</summary>
    internal bool FramesArrive => Sends;

    /// <summary>What the board made of the last frame.</summary>
    internal BoardView LastView => board.Reading.View;

    /// <summary>What the board would make of what the transmitter sends now; nothing while it is off.</summary>
    internal BoardView SentView => TransmitterOn ? plan.Board.View(Values.Received) : default;

    private SignalValues Values => transmitter.Values;

    internal ModelMemory Memory => Values.Memory;

    internal bool TelemetryLost => downLink.Missed;

    /// <summary>What the board knows besides the frames.</summary>
    internal Surroundings Surroundings => board.Surroundings;

    /// <summary>The setup that is on the bench.</summary>
    public Setup Setup => plan.Setup;

    /// <summary>The virtual time since the bench was set up.</summary>
    public TimeSpan Now => now;

    /// <summary>Puts another revision of the setup on the bench. Controls keep their positions where they still have them, and the model
    /// what it remembers as long as no part of it comes, goes or changes its place; the board restarts, disarmed, when anything behind
    /// the transmitter changed.</summary>
    public void Replace(Setup setup)
    {
        Reach();
        var before = plan;
        battery.Follow(plan, board, now);
        plan = SignalPlan.Compile(setup);
        back = ReturnPlan.Of(setup);
        transmitter = transmitter.With(plan);
        downLink.Replace(setup.Air, now);
        trembling = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        board.Replace(plan);
        if (receiver.Replace(plan, now))
            seen = new Microseconds[Values.Received.Length];
        RunModel();
        var same = SameBoard(before.Setup, setup);
        if (Power && !same)
            Restart();
        // What it expects is another then, and it begins anew.
        if (trial is not null && !same)
            trial = new LossTrial(setup);
        changes++;
    }

    /// <summary>Moves a control.</summary>
    /// <param name="control">Its id.</param>
    /// <param name="setting">Percent for a stick or a dial, the position for a switch, 0 or 1 for a button.</param>
    /// <returns>False when there is no such control or it cannot be put there; nothing has moved then.</returns>
    public bool Move(string control, double setting)
    {
        Reach();
        if (!transmitter.Put(control, setting))
            return false;
        trembling = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        RunModel();
        return true;
    }

    /// <summary>Moves several controls at the same moment: the model sees only how all of them stand then.</summary>
    /// <param name="settings">Where each is put, by its id; see <see cref="Move(string, double)"/>.</param>
    /// <returns>One that is not there, or cannot be put where it should; null when none is. Nothing has moved otherwise.</returns>
    public (string Control, double Setting)? Move(IReadOnlyDictionary<string, double> settings)
    {
        foreach (var (control, setting) in settings)
            if (!transmitter.Takes(control, setting))
                return (control, setting);
        Reach();
        foreach (var (control, setting) in settings)
            transmitter.Put(control, setting);
        trembling = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        RunModel();
        return null;
    }

    /// <summary>Lets channels arrive beside what the wire carries, as a transmitter that wanders does, until a control is moved.</summary>
    /// <param name="by">How far beside, by channel.</param>
    public void Tremble(IReadOnlyDictionary<ChannelNumber, Microseconds> by) => trembling = by;

    /// <summary>Where a control stands; see <see cref="Move(string, double)"/>.</summary>
    internal double SettingOf(string control) => transmitter.SettingOf(control);

    /// <summary>What the board received last on a channel.</summary>
    internal Microseconds ReceivedOn(ChannelNumber channel) => seen[channel.Value - 1];

    /// <summary>What the transmitter has heard last of a sensor.</summary>
    internal double ReadingOf(string sensor) => transmitter.ReadingOf(sensor);

    /// <summary>Switches the radio link on or off.</summary>
    public void SetLink(bool up)
    {
        if (Link == up)
            return;
        Link = up;
        AlignNextFrame();
        RunModel();
        Watch();
    }

    /// <summary>Switches the transmitter on or off. It is on again once its restart time has passed since it was switched off, and then
    /// remembers nothing of what was before.</summary>
    public void SetTransmitter(bool on)
    {
        if (TransmitterOn == on && transmitter.Starting == TimeSpan.MaxValue)
            return;
        var was = TransmitterOn;
        transmitter.Switch(on, now);
        if (was != TransmitterOn)
            FollowTransmitter();
    }

    private void FollowTransmitter()
    {
        AlignNextFrame();
        // It remembers no packet that came before.
        downLink.Miss();
        RunModel();
        Watch();
        Log.Add(now, LogKind.Switched, TransmitterOn ? "Transmitter on" : "Transmitter off");
    }

    /// <summary>Connects the craft's battery or takes it off.</summary>
    public void SetPower(bool on)
    {
        if (Power == on)
            return;
        if (on)
            PowerUp();
        else
            board.PowerOff(now);
        battery.Follow(plan, board, now);
        receiver.Restart();
        AlignNextFrame();
        RunModel();
        Log.Add(now, LogKind.Switched, on ? "Battery connected" : "Battery off");
    }

    /// <summary>Tilts the craft, connects it for configuration or unlocks that; the board knows it with the next good frame.</summary>
    public void Surround(Surroundings around)
    {
        board.Surround(around, now);
        changes++;
    }

    /// <summary>Begins anew to look how far the bars of the board go.</summary>
    public void WatchBars()
    {
        watch.Restart();
        changes++;
    }

    /// <summary>Begins a guided measuring routine, or ends it.</summary>
    public void Guide(RoutineKind kind)
    {
        watch.Guide(kind, plan, seen, now, transmitter.Away);
        changes++;
    }

    /// <summary>Begins to guide through a loss of the signal, or ends it.</summary>
    public void TryLoss(bool begins)
    {
        trial = begins ? new LossTrial(plan.Setup) : null;
        changes++;
    }

    /// <summary>Leaves out what the guided routine asks for.</summary>
    public void Skip()
    {
        watch.Skip(now);
        changes++;
    }

    /// <summary>Takes the craft to a distance at which packets are lost, or back to the bench.</summary>
    /// <param name="distance">The distance, more than 0; null for the bench, where none are lost.</param>
    public void SetDistance(Kilometres? distance)
    {
        receiver.SetDistance(distance, now);
        // What the distance makes of them is newer than a hand that held them.
        foreach (var (id, sensor) in plan.Model.Sensors)
            if (sensor.Measures is SensorSubject.Distance || sensor.Measures.UsualOrigin() == SensorOrigin.Receiver)
                sensors.Release(id);
        RunModel();
    }

    /// <summary>When something happens next by itself; <see cref="TimeSpan.MaxValue"/> when nothing does.</summary>
    internal TimeSpan NextAt => agenda.Next?.At ?? TimeSpan.MaxValue;

    /// <summary>When the next frame and the next packet of telemetry are due.</summary>
    internal (TimeSpan Frame, TimeSpan Telemetry) Grid => (nextFrame, downLink.NextPacket);

    /// <summary>Lets virtual time pass; frames go out and the board works.</summary>
    /// <param name="to">The time to reach. An earlier time than <see cref="Now"/> changes nothing.</param>
    public void AdvanceTo(TimeSpan to)
    {
        while (agenda.Next is var (part, at) && at <= to)
        {
            now = at;
            part.Act();
            Watch();
        }

        if (to > now)
            now = to;
        Watch();
    }

    private void Watch()
    {
        if (trial?.Look(Board, Sending, now) == true)
            changes++;
    }

    // In the order of the path, which decides at the same instant: what the model has just worked out is in the frame, and a frame that
    // comes at the very moment of a loss is in time.
    private BenchAgenda Agenda() =>
        new(
            new BenchPart(() => transmitter.Starting, () => SetTransmitter(true)),
            new BenchPart(() => transmitter.NextSaying, Repeat),
            new BenchPart(() => transmitter.NextTimer, CallTimers),
            new BenchPart(() => transmitter.NextModel, RunModel),
            new BenchPart(() => Sends ? nextFrame : TimeSpan.MaxValue, SendFrame),
            new BenchPart(() => board.NextTimer, ElapseBoard),
            new BenchPart(() => battery.BurstEnds, EndBurst),
            new BenchPart(() => plan.Setup.Air.Telemetry ? downLink.NextPacket : TimeSpan.MaxValue, SendTelemetry),
            new BenchPart(() => TransmitterOn ? downLink.NextMiss : TimeSpan.MaxValue, MissTelemetry),
            new BenchPart(() => transmitter.NextSpeech, () => Speak(turn: true))
        );

    private static bool SameBoard(Setup one, Setup other) =>
        one.Wire == other.Wire && SetupJson.Same(one.Board, other.Board) && SetupJson.Same(one.Air, other.Air);

    // What has gone on by itself has done so with what the model knew before: whatever it is told from here on comes now.
    private void Reach()
    {
        if (transmitter.IsBehind(now))
            Tell(transmitter.RunModel(Values.TelemetryLost, now));
    }

    // Works out the model at this moment; everything that it shows is another picture.
    private void RunModel()
    {
        // The receiver puts what it measures of the link into its channel.
        Values.Quality = receiver.Way.Quality;
        Tell(transmitter.RunModel(TelemetryLost, now));
        changes++;
    }

    private void Tell((IReadOnlyList<Spoken> Speaks, IReadOnlyList<string> Begun) news)
    {
        Log.Say(now, news.Speaks);
        foreach (var begun in news.Begun)
            Log.Add(now, LogKind.Reset, begun);
    }

    private void Repeat()
    {
        transmitter.Repeat(now);
        Speak();
    }

    private void CallTimers()
    {
        transmitter.CallTimers(now);
        Speak();
        changes++;
    }

    private void Speak(bool turn = false) => Log.Say(now, transmitter.Speak(now, turn));

    private void PowerUp()
    {
        poweredAt = now;
        board.PowerUp(now);
    }

    private void Restart()
    {
        PowerUp();
        receiver.Restart();
        AlignNextFrame();
    }

    // Frames stand on a grid of the format's period, whenever link or power come back.
    private void AlignNextFrame()
    {
        var period = plan.Setup.Wire.FramePeriod.ToTimeSpan();
        nextFrame = TimeSpan.FromTicks((now.Ticks / period.Ticks * period.Ticks) + period.Ticks);
    }

    private void SendFrame()
    {
        nextFrame = now + plan.Setup.Wire.FramePeriod.ToTimeSpan();
        if (receiver.TakePackets(now))
            RunModel();
        if (receiver.SendFrame(Values, Sending))
            Receive();
    }

    private void Receive()
    {
        var changed = false;
        for (var i = 0; i < seen.Length; i++)
        {
            var pulse = plan.Wire.ToMicroseconds(receiver.Arrived[i]);
            if (trembling.TryGetValue(new ChannelNumber(i + 1), out var beside))
                pulse += beside;
            changed |= pulse != seen[i];
            seen[i] = pulse;
        }

        if (watch.See(plan.Setup.Board, seen, now))
            changes++;
        if (board.Receive(seen, now) || changed)
        {
            battery.Follow(plan, board, now);
            changes++;
        }
    }

    private void ElapseBoard()
    {
        board.Elapse(now);
        battery.Follow(plan, board, now);
    }

    private void EndBurst()
    {
        battery.Follow(plan, board, now);
        changes++;
    }

    // Packets go out.
    private bool Sending => Link && TransmitterOn;

    private bool Sends => Power && receiver.Sends(Sending);
}
