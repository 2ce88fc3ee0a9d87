using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Reference;

/// <summary>One run of a bench that is looked at frame by frame, and what is seen to break a promise, as its sentence says in words.</summary>
internal sealed class JudgedRun
{
    private readonly Setup setup;
    private readonly SignalPlan plan;
    private readonly TimeSpan frame;
    private readonly bool quiet;
    private readonly double low;
    private readonly double thrustFrom;
    private readonly double stickLow;
    private readonly string stick;
    private readonly HashSet<string> arming;
    private readonly HashSet<string> consenting;
    private readonly HashSet<string> stopping;
    private readonly HashSet<string> cutting;

    // Since the board last had a frame by radio.
    private readonly HashSet<string> moved = [];
    private bool othersThanSafe;
    private bool safe;
    private bool stickLowSinceArmed;
    private bool flown;
    private bool thrusting;
    private bool stoppedByLoss;
    private bool restarted;
    private bool wellUp;
    private bool missing;
    private bool heard;
    private bool wasOn = true;
    private bool rises;
    private bool near;
    private bool heardByRadio;
    private TimeSpan lastFrame;
    private double lastThrottle = double.NaN;
    private bool lastAtRest;
    private bool lastMissed;
    private BoardState last;
    private MotorLevel beforeMotors;

    /// <summary>A transmitter just switched on, a craft without power.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="anywhere">Null to start where the controls start; otherwise a seed for controls that the power-on check leaves free,
    /// and no hand may move after.</param>
    public JudgedRun(Setup setup, int? anywhere)
    {
        this.setup = setup;
        plan = SignalPlan.Compile(setup);
        quiet = anywhere is not null;
        frame = setup.Wire.FramePeriod.ToTimeSpan();
        low = setup.Board.OnWire(StickAxis.Throttle, setup.Board.ThrottleLow).Value;
        thrustFrom = setup.Board.ActivationLimit?.Value ?? low;
        // What a hand takes for low: less than thrust that is felt, if it came through straight.
        stickLow = Math.Max(-98, (low + 50 - 1500) / setup.Transmitter.Scale.MicrosecondsPerPercent());
        stick = setup.Transmitter.StickOf(StickAxis.Throttle)!;
        HashSet<string> Of(params FunctionKind[] kinds) =>
            [.. setup.Board.Functions.Values.Where(f => kinds.Contains(f.Kind)).Select(f => f.Control)];
        arming = Of(FunctionKind.Arm);
        consenting = Of(FunctionKind.ArmConsent);
        stopping = Of(FunctionKind.Arm, FunctionKind.ThrottleCut);
        cutting = [.. stopping];
        foreach (var held in setup.Model.Overrides.Values.Where(o => o.Enabled))
            cutting.UnionWith(
                plan.Model.Graph.Behind(new ModelNode(NodeKind.Condition, held.When))
                    .Where(n => n.Kind == NodeKind.Control)
                    .Select(n => n.Id)
            );
        Bench = new BenchRun(setup);
        Bench.SetPower(false);
        Bench.SetTransmitter(false);
        if (anywhere is { } seed)
            Scatter(new Random(seed));
        Bench.AdvanceTo(setup.Transmitter.RestartTime.ToTimeSpan());
        Bench.SetTransmitter(true);
        last = Bench.Board;
    }

    public BenchRun Bench { get; }

    /// <summary>What the last act was seen to break.</summary>
    public Dictionary<string, string> Broken { get; } = new(StringComparer.Ordinal);

    private bool Radio => Bench is { Link: true, TransmitterOn: true };

    private double Throttle => Bench.ReceivedOn(setup.Board.Map.ChannelOf(StickAxis.Throttle)).Value;

    public void Do(BenchAct act)
    {
        Broken.Clear();
        var until = Bench.Now + (3 * frame);
        beforeMotors = Bench.Board.Motors;
        switch (act.Kind)
        {
            case BenchActKind.Hand:
                Hand(act.Id, act.Value);
                break;
            case BenchActKind.Power:
                Bench.SetPower(!Bench.Power);
                restarted |= Bench.Power;
                break;
            case BenchActKind.Link:
                Bench.SetLink(!Bench.Link);
                break;
            case BenchActKind.Transmitter:
                Bench.SetTransmitter(!Bench.TransmitterOn);
                moved.Add("transmitter");
                break;
            case BenchActKind.Turn:
                Bench.Surround(
                    Bench.Surroundings with
                    {
                        Tilt = new(
                            act.Value switch
                            {
                                0 => 0,
                                1 => 50,
                                _ => 180,
                            }
                        ),
                    }
                );
                break;
            case BenchActKind.Cable:
                Bench.Surround(Bench.Surroundings with { Connected = act.Value > 0, Unlocked = act.Value > 1 });
                break;
            case BenchActKind.Fix:
                Bench.Surround(Bench.Surroundings with { Fix = !Bench.Surroundings.Fix });
                break;
            case BenchActKind.Telemetry:
                Bench.SetTelemetry(!Bench.Telemetry);
                break;
            case BenchActKind.Sensor:
                // What comes later would be blamed on what is done then.
                Bench.Hear(act.Id, new Reading(act.Value));
                break;
            case BenchActKind.Wait:
                until += TimeSpan.FromMilliseconds(act.Value);
                break;
            default:
                GetReady();
                return;
        }

        Watch(until);
    }

    // One movement after the other, each seen by the board.
    private void GetReady()
    {
        if (!Bench.Link)
            Do(new(BenchActKind.Link));
        if (!Bench.TransmitterOn)
        {
            Do(new(BenchActKind.Transmitter));
            Watch(Bench.Now + setup.Transmitter.RestartTime.ToTimeSpan() + (3 * frame));
        }

        if (!Bench.Power)
            Do(new(BenchActKind.Power));
        Do(new(BenchActKind.Turn));
        Do(new(BenchActKind.Hand, stick, -100));
    }

    private void Scatter(Random random)
    {
        var wanted = PowerOnCheck.Of(plan).Where(i => i.Warns).ToDictionary(i => i.Control, i => i.Setting);
        foreach (var (id, control) in setup.Transmitter.Listed)
            if (wanted.TryGetValue(id, out var setting))
                Bench.Move(id, setting);
            else if (control.NamedPositions.Count > 0)
                Bench.Move(id, control.NamedPositions[random.Next(control.NamedPositions.Count)].Setting);
            else
                Bench.Move(id, -100 + (200.0 * random.Next(2049) / 2048));
    }

    private void Hand(string id, double setting)
    {
        var from = Bench.SettingOf(id);
        if (from == setting)
            return;
        Bench.Move(id, setting);
        moved.Add(id);
        var toSafe = setup.Transmitter.Controls[id] is SwitchControl made && made.Safe == (int)setting;
        safe |= toSafe;
        othersThanSafe |= !toSafe;
        rises = id == stick && setting > from;
        near = id == stick && Math.Abs(setting - from) <= 2 * setup.Limits.JumpWithin.Value;
    }

    private void Watch(TimeSpan until)
    {
        // Each look comes just after a frame, so that what is seen is what the board has seen.
        while (Bench.Now < until)
        {
            Bench.AdvanceTo(new TimeSpan((Bench.Now.Ticks / frame.Ticks * frame.Ticks) + frame.Ticks));
            See();
        }

        (rises, near) = (false, false);
    }

    private void Break(string code, string seen) => Broken.TryAdd(code, seen);

    private void See()
    {
        var board = Bench.Board;
        restarted |= Bench.TransmitterOn && !wasOn && last is { Powered: true, Armed: false };
        wasOn = Bench.TransmitterOn;
        var frames = Bench.FramesArrive;
        // Frames were missing for so long that the board has noticed: what it does then is no answer to a hand.
        if (missing && frames && Bench.Now - lastFrame >= setup.Board.SignalTimeout.ToTimeSpan())
            last = last with { Signal = BoardSignal.None, Motors = MotorLevel.Off };
        var radio = frames && Radio;
        if (frames)
            lastFrame = Bench.Now;
        if (
            Bench.TransmitterOn && Bench.SettingOf(stick) <= stickLow
            || board.Signal is BoardSignal.Landing or BoardSignal.Returning
        )
            stickLowSinceArmed = true;
        Arming(board);
        Thrust(board, radio);
        Loss(board, frames, radio);
        Start(board, radio);
        if (radio)
            Functions();
        if (radio)
            Course();
        Forget(board, frames, radio);
        last = board;
    }

    private bool By(HashSet<string> controls) => moved.Overlaps(controls);

    private void Arming(BoardState board)
    {
        if (!board.Armed)
            stickLowSinceArmed = false;
        if (last.Armed || !board.Armed)
            return;
        stickLowSinceArmed = Bench.SettingOf(stick) <= stickLow;
        if (Throttle >= low)
            Break("throttle-low-at-arming", $"armed at {Throttle}");
        if (!By(arming) && !By(consenting))
        {
            if (moved.Count == 0 || moved.SetEquals([stick]) || moved.SetEquals(["transmitter"]))
                Break("no-delayed-arming", "armed without its control");
            else if (!moved.Contains(stick) && !moved.Contains("transmitter") && moved.Count == 1 && heard)
                Break("one-control-arms", $"armed by {string.Join(", ", moved)}");
        }

        var view = plan.Board.View([.. Enumerable.Range(1, plan.Wire.Channels).Select(n => Bench.ReceivedOn(new(n)))]);
        if (view.Has(plan.Board.ConflictBits))
            Break("no-tuning-while-arming", "armed while tuning");
    }

    private void Thrust(BoardState board, bool radio)
    {
        var felt = Throttle >= thrustFrom + 50 || Throttle < thrustFrom;
        var flies = board is { Motors: MotorLevel.Thrust, Signal: BoardSignal.Good, ForSelfRight: false };
        var entered = flies && last.Motors != MotorLevel.Thrust;
        var atOnce = moved.Count > 0 && !missing || missing && last.Signal == BoardSignal.Good;
        if (flies && last.Motors == MotorLevel.Off && atOnce && !moved.Contains("transmitter"))
            Break("no-leap", "from off to thrust at once");
        if (flies && felt && !stickLowSinceArmed)
            Break("no-leap", "thrust before the stick was low");
        if (entered && felt && last is { Armed: true, Signal: BoardSignal.Good } && !moved.Contains(stick))
            Break("no-switch-adds-thrust", $"thrust by {string.Join(", ", moved)}");
        if (
            board.Motors == MotorLevel.Thrust
            && last is { Armed: true, ForSelfRight: false }
            && last.Motors != MotorLevel.Thrust
        )
        {
            if (board.Signal is BoardSignal.Landing or BoardSignal.Returning && !flown)
                Break("thrust-by-stick-alone", "spins up from idle, not flown");
            if (flies && last.Signal != BoardSignal.Good && felt && !thrusting && !moved.Contains(stick))
                Break("thrust-by-stick-alone", "thrust with the signal's return");
        }

        if (
            radio
            && last is { Motors: MotorLevel.Thrust, Signal: BoardSignal.Good }
            && board is { Powered: true, Motors: MotorLevel.Off }
        )
        {
            if (!By(stopping) && !moved.Contains("transmitter"))
                Break("no-accidental-stop", $"stopped by {string.Join(", ", moved)}");
        }

        if (
            radio
            && wellUp
            && board is { Armed: true, Motors: MotorLevel.Idle or MotorLevel.IdleWithControl, Signal: BoardSignal.Good }
        )
            if (!moved.Contains(stick) && !By(cutting) && !moved.Contains("transmitter"))
                Break("thrust-stays", $"idle by {string.Join(", ", moved)}");
        if (
            radio
            && flies
            && Bench.SettingOf(stick) == -100
            && Throttle >= thrustFrom + 50
            && last.Motors == MotorLevel.Thrust
        )
            Break("stick-down-idles", $"thrust at {Throttle} with the stick down");
        if (
            radio
            && safe
            && heard
            && !othersThanSafe
            && moved.Count == 1
            && felt
            && last.Signal == board.Signal
            && board.Motors > beforeMotors
            && board.Motors > last.Motors
        )
            Break("safe-end-is-safe", $"{last.Motors} to {board.Motors} by {string.Join(", ", moved)}");
        if (radio && board.Signal == BoardSignal.Good)
            (thrusting, flown) = (flies, board.Armed && (flown || flies));
        if (!board.Armed)
            (thrusting, flown) = (false, false);
        if (radio)
            wellUp = flies && Throttle >= thrustFrom + 50;
        else if (board.Motors != MotorLevel.Thrust || board.Signal != BoardSignal.Good)
            wellUp = false;
    }

    private void Loss(BoardState board, bool frames, bool radio)
    {
        var waited = Bench.Now - lastFrame;
        if (frames && !Radio && board is { Armed: true, Signal: BoardSignal.Good } && last.Armed)
        {
            Break("loss-is-handled", "armed on frames without radio");
            Break("loss-in-time", "frames without radio hide the loss");
        }

        if (
            !frames
            && board is { Armed: true, Signal: BoardSignal.Good or BoardSignal.Grace }
            && waited > setup.Limits.LossNoticedWithin.ToTimeSpan() + (2 * frame)
        )
            Break("loss-in-time", $"nothing after {waited.TotalMilliseconds}");
        if (last.Armed && !board.Armed && !frames && board.Powered)
            stoppedByLoss = true;
        if (stoppedByLoss && board.Armed)
            Break("loss-is-handled", "armed again after a loss");
        if (frames && !Radio && heardByRadio | setup.Air.OnLoss == ReceiverLoss.Preset)
            if (board.ArmRequested || Throttle >= low)
                Break("quiet-receiver", $"arm {board.ArmRequested}, throttle {Throttle} without radio");
        if (restarted && board.Armed)
            Break("restart-stays-off", "armed after a restart");
    }

    private void Start(BoardState board, bool radio)
    {
        if (!quiet)
            return;
        if (board.Armed || board.Motors != MotorLevel.Off || (radio && Throttle >= low))
            Break("quiet-start", $"{board.Motors}, armed {board.Armed}, throttle {Throttle}");
    }

    private void Functions()
    {
        foreach (var function in setup.Board.Functions.Values.Where(f => !f.Planned.IsEmpty))
        {
            if (function.Channel.Value > plan.Wire.Channels)
                continue;
            var value = Bench.ReceivedOn(function.Channel).Value;
            var on = value >= function.Low.Value && value < function.High.Value;
            var planned = function.Planned.Contains((int)Bench.SettingOf(function.Control));
            if (on && !planned && !moved.Contains(function.Control))
                Break("functions-reachable", $"{function.Label} is on elsewhere");
            if (on || !planned || moved.Count > 0 || !AtRest || plan.ChannelAt(function.Channel) is not { } channel)
                continue;
            var place = plan.Model.Channels.ToList().IndexOf(channel);
            var held = plan.Model.HoldingOverride(setup.Model, Bench.Memory, place) is not null;
            if (!held && !channel.Channel.Steps.Values.Any(s => s is StateStep))
                Break("functions-reachable", $"{function.Label} is off where it is planned");
        }
    }

    private bool AtRest => !Bench.Memory.Restless;

    // The throttle must not fall or leap when nothing but its stick moves: telemetry that is missed or comes then is something else.
    private void Course()
    {
        if (!lastAtRest || !AtRest || !moved.SetEquals([stick]) || lastMissed != Bench.TelemetryLost)
            return;
        if (rises && Throttle < lastThrottle)
            Break("can-fly", $"throttle from {lastThrottle} to {Throttle} while the stick rises");
        // 1000 to 2000 µs is all of its travel.
        var travel =
            setup.Board.OnWire(StickAxis.Throttle, new(2000)).Value
            - setup.Board.OnWire(StickAxis.Throttle, new(1000)).Value;
        if (near && Throttle - lastThrottle > setup.Limits.JumpShare.Value / 100 * travel)
            Break("no-jump", $"throttle from {lastThrottle} to {Throttle} by a small movement");
    }

    private void Forget(BoardState board, bool frames, bool radio)
    {
        if (frames && !board.ArmRequested)
            (stoppedByLoss, restarted) = (false, false);
        if (!board.Powered)
            (restarted, stoppedByLoss) = (false, false);
        missing = !frames;
        heard = radio;
        heardByRadio = board.Powered && (heardByRadio || radio);
        if (radio)
        {
            moved.Clear();
            (safe, othersThanSafe) = (false, false);
            (lastThrottle, lastAtRest, lastMissed) = (Throttle, AtRest, Bench.TelemetryLost);
        }
    }
}
