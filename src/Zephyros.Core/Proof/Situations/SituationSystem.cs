using System.Runtime.InteropServices;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Situations;

/// <summary>The part of a state that is not position or memory, numbered as it is found: one step of receiver, board and promise for
/// every move and reading. It calls the same automaton as the bench. Not safe for use by several threads.</summary>
internal sealed class SituationSystem
{
    // One in the list, one as a key with its number.
    private const long SituationBytes = 250;

    // A frame like the one before changes a board at most so many times.
    private const int MostRepeats = 4;

    private static readonly BoardTimer[] Timers = Enum.GetValues<BoardTimer>();

    private readonly SignalPlan plan;
    private readonly ReducedModel model;
    private readonly Watch watch;
    private readonly Dictionary<Situation, int> numbers = [];
    private readonly List<Situation> situations = [];
    private readonly List<Happening[]?> happenings = [];
    private readonly Dictionary<(int Situation, Happening Happening), StepTable> steps = [];
    private long tables;
    private readonly HeldTrembles trembles;
    private readonly TimerOrder order;
    private readonly Dictionary<(int Situation, int Before, int After), int> ordered = [];
    private readonly ulong presetBits;
    private readonly ulong presetView;
    private readonly ulong unlinkedView;

    public SituationSystem(ReducedModel model, Watch watch)
    {
        (this.model, this.watch, plan) = (model, watch, model.Scope.Plan);
        model.NumberOf(0);
        Telemetry = new TelemetryMoves(model.Scope.TelemetryInput);
        order = new TimerOrder(plan, model.Memory);
        foreach (var atom in model.Scope.Atoms)
        {
            var preset = Preset(atom.Channel);
            if (preset is { } sent)
            {
                presetBits |= atom.Bit;
                presetView |= atom.Holds(sent.Value) ? atom.Bit : 0;
            }

            unlinkedView |= atom.Holds((preset ?? Microseconds.Neutral).Value) ? atom.Bit : 0;
        }

        trembles = new HeldTrembles(
            model.Scope,
            model
                .Scope.Atoms.Select(a => a.Channel)
                .Distinct()
                .Where(c => Preset(c) is not null)
                .ToDictionary(c => c, c => Preset(c)!.Value)
        );
    }

    /// <summary>What brings telemetry and takes it away.</summary>
    public TelemetryMoves Telemetry { get; }

    /// <summary>What was worked out so far.</summary>
    public IEnumerable<StepTable> Tables => steps.Values;

    /// <summary>The bytes that situations and steps take, about.</summary>
    public long Bytes => tables + (SituationBytes * situations.Count);

    /// <summary>The situations found so far, by number.</summary>
    public IReadOnlyList<Situation> Situations => situations;

    /// <summary>The situation after a step, also one that breaks the promise.</summary>
    public Situation After(StepTable table, int reading) =>
        Come(situations[table.Situation], table.Happening, reading).Next;

    /// <summary>The situation at the start: transmitter on, craft without power, level, no cable.</summary>
    public int Start() =>
        Number(
            new Situation(BoardState.Off, RadioState.Up, false, 0, Orientation.Level, UsbState.None, false, watch.Start)
        );

    /// <summary>Everything but movements of inputs and the time of the model that can happen in a situation.</summary>
    public IReadOnlyList<Happening> Happenings(int number)
    {
        while (happenings.Count <= number)
            happenings.Add(null);
        return happenings[number] ??= [.. Happenings(situations[number])];
    }

    private IEnumerable<Happening> Happenings(Situation now)
    {
        if (model.Scope.Trembles && now.Radio == RadioState.Up)
            yield return new(MoveKind.Tremble);
        if (model.Scope.Trembles && now.Radio != RadioState.Up && FramesArrive(now))
            foreach (var reading in trembles.Of(model.Readings[now.Held], now.Linked))
                yield return new(MoveKind.Tremble, model.NumberOf(reading));
        foreach (var timer in Timers)
            if (Runs(now, timer))
                yield return new(MoveKind.BoardTime, (int)timer);
        if (now.Radio == RadioState.Up)
            foreach (var happening in Telemetry.Missed(MoveKind.RadioLost))
                yield return happening;
        if (now.Radio == RadioState.Lost)
            foreach (var happening in Telemetry.Heard(MoveKind.RadioBack, now.Board.Powered))
                yield return happening;
        if (now.Board.Powered)
            foreach (var happening in Telemetry.Missed(MoveKind.PowerOff))
                yield return happening;
        else
            foreach (var happening in Telemetry.Heard(MoveKind.PowerOn, now.Radio == RadioState.Up))
                yield return happening;
        if (now.Radio != RadioState.Off)
            yield return new(MoveKind.TransmitterOff);
        else if (!Restarting(now))
            foreach (var happening in Telemetry.Heard(MoveKind.TransmitterOn, now.Board.Powered))
                yield return happening;
        foreach (var lies in Orientations())
            if (lies != now.Lies)
                yield return new(MoveKind.Turn, (int)lies);
        if (plan.Setup.Board.Guards.RefusesConnected)
            foreach (var usb in Enum.GetValues<UsbState>())
                if (usb != now.Usb)
                    yield return new(MoveKind.Cable, (int)usb);
        if (
            plan.Setup.Board.Equipment.PositionReceiver
            && (watch.LooksAtFix || plan.Setup.Board.Loss.Procedure == LossProcedure.ReturnHome)
        )
            yield return new(MoveKind.Fix, now.Fix ? 0 : 1);
    }

    private bool Runs(in Situation now, BoardTimer timer) =>
        (timer != BoardTimer.FramesMissing || !FramesArrive(now))
        && plan.Board.Duration(timer) is not null
        && BoardMachine.Runs(plan.Board, now.Board, timer);

    /// <summary>True when, by the lengths of all that waits, something can happen before the rest.</summary>
    public bool MayHappen(int number, Happening happening, int memory) =>
        happening.Kind != MoveKind.BoardTime
        || order.MayEnd(situations[number].Timers, (BoardTimer)happening.Value, memory);

    /// <summary>True when, by the lengths of all that waits, parts of the model can come to their end before the rest.</summary>
    public bool MayEnd(int number, ulong ending, int memory) => order.MayEnd(situations[number].Timers, ending, memory);

    /// <summary>A situation that a step has led to, with the board's times put in order with the waits of the model.</summary>
    /// <param name="number">The situation, or <see cref="Watch.Broken"/>, which stays.</param>
    /// <param name="before">The memory before the step.</param>
    /// <param name="after">The memory after it.</param>
    public int Ordered(int number, int before, int after)
    {
        if (number == Watch.Broken || !order.Matters || situations[number].Timers == 0)
            return number;
        ref var known = ref CollectionsMarshal.GetValueRefOrAddDefault(ordered, (number, before, after), out var found);
        if (!found)
            known = Number(situations[number] with { Timers = order.After(situations[number].Timers, before, after) });
        return known;
    }

    /// <summary>What <see cref="Ordered"/> was asked, and its answers.</summary>
    public IEnumerable<(int Situation, int Before, int After, int To)> Orders =>
        ordered.Select(o => (o.Key.Situation, o.Key.Before, o.Key.After, o.Value));

    /// <summary>Why the model is run once more when something happens.</summary>
    public RowCause CauseOf(Happening happening) =>
        happening.Kind == MoveKind.TransmitterOn ? new(0, OpenComparisons.Everything)
        : Telemetry.After(happening) is null ? new(0, model.Open.Nothing)
        : new(0, model.Open.ByInputs([model.Scope.TelemetryInput]));

    /// <summary>What follows when something happens in a situation, by the number of what the transmitter then makes the board read.</summary>
    public StepTable Steps(int situation, Happening happening)
    {
        ref var table = ref CollectionsMarshal.GetValueRefOrAddDefault(steps, (situation, happening), out _);
        if (table is null)
        {
            table = new StepTable(situation, happening);
            tables += table.Bytes;
        }

        return table;
    }

    /// <summary>The number of the situation after a step, or <see cref="Watch.Broken"/>.</summary>
    /// <param name="table">Where it starts and what happens.</param>
    /// <param name="reading">The number of what the transmitter now makes the board read; 0 while the transmitter is off.</param>
    public int Next(StepTable table, int reading)
    {
        var known = table.After(reading);
        if (known != StepTable.Unknown)
            return known;
        var after = Work(situations[table.Situation], table.Happening, reading);
        tables -= table.Bytes;
        table.Learn(reading, after);
        tables += table.Bytes;
        return after;
    }

    // A board that does not wait for as long as a restart takes has gone on meanwhile.
    private bool Restarting(in Situation now)
    {
        if (FramesArrive(now) || !now.Board.Powered)
            return false;
        var waits = plan.Setup.Board.SignalTimeout.Value;
        if (now.Board.Signal == BoardSignal.Grace)
            waits += plan.Setup.Board.Loss.Grace.Value;
        return now.Board.Signal is BoardSignal.Good or BoardSignal.Grace
            && waits < plan.Setup.Transmitter.RestartTime.Value;
    }

    private IEnumerable<Orientation> Orientations()
    {
        var limit = plan.Setup.Board.Guards.TiltLimit;
        if (limit is null && plan.Board.SelfRightBits == 0)
            yield break;
        yield return Orientation.Level;
        if (limit is { Value: < 90 })
            yield return Orientation.Tilted;
        yield return Orientation.UpsideDown;
    }

    /// <summary>True when good frames arrive at the board in a situation, by radio or not.</summary>
    public bool FramesArrive(in Situation now) => FramesArrive(plan.Setup.Air, now);

    /// <summary>True when good frames arrive at a board in a situation, by radio or because the receiver goes on without it.</summary>
    public static bool FramesArrive(LinkSettings air, in Situation now) =>
        now.Board.Powered
        && (
            now.Radio == RadioState.Up
            || air.OnLoss == ReceiverLoss.Preset
            || (air.OnLoss == ReceiverLoss.Hold && now.Linked)
        );

    private int Work(Situation before, Happening happening, int reading)
    {
        var (next, change) = Come(before, happening, reading);
        var monitor = watch.Next(before.Monitor, change);
        return monitor == Watch.Broken ? Watch.Broken : Number(next with { Monitor = monitor });
    }

    private (Situation Next, Change Change) Come(Situation before, Happening happening, int reading)
    {
        var next = Happen(before, happening, reading);
        var frames = FramesArrive(next);
        var shown = next.Radio == RadioState.Up ? reading : next.Held;
        var bits = model.Readings[shown];
        var through = 0;
        foreach (var timer in Timers)
            if (Runs(before, timer) && Runs(next, timer))
                through |= BitOf(timer);
        if (frames)
            next = next with { Board = See(next, new BoardView(bits), ref through) };
        var returns = before.Radio != RadioState.Up && next.Radio == RadioState.Up;
        var excused = before.Excused || (happening.Roles & watch.Excuses) != 0;
        var held = happening.Kind == MoveKind.Tremble && next.Radio != RadioState.Up;
        var trembled = watch.LooksAtTremble && (held || (bits & ProofScope.TremblesBit) != 0);
        var change = new Change(
            before,
            happening.Kind,
            returns && excused ? happening.Roles | watch.Excuses : happening.Roles,
            next.Board,
            next.Radio,
            next.Fix,
            frames,
            frames ? new BoardView(bits) : default,
            (model.Readings[reading] & ProofScope.StickLowBit) != 0,
            ProofScope.CuesIn(model.Readings[reading]),
            returns && before.Board is { Powered: true, HasSignal: true } && !FramesArrive(before),
            trembled || before.Trembled,
            new BoardView(model.Readings[reading])
        );
        next = next with
        {
            Excused = next.Radio != RadioState.Up && excused,
            Trembled = frames && trembled,
            Timers = order.Matters ? TimersAfter(before, happening, next, through) : 0,
        };
        return (next, change);
    }

    // A timer that stood still in between begins anew.
    private int TimersAfter(in Situation before, Happening happening, in Situation next, int through)
    {
        var made = before.Timers;
        foreach (var timer in Timers)
            if (!Runs(next, timer))
                made = TimerOrder.With(made, timer, 0);
            else if ((through & BitOf(timer)) == 0 || happening == new Happening(MoveKind.BoardTime, (int)timer))
                made = TimerOrder.With(made, timer, TimerOrder.Begun);
        return made;
    }

    private static int BitOf(BoardTimer timer) => 1 << (int)timer;

    private Situation Happen(Situation now, Happening happening, int reading)
    {
        var board = now.Board;
        switch (happening.Kind)
        {
            case MoveKind.BoardTime:
                return now with
                {
                    Board = BoardMachine.Elapse(plan.Board, board, (BoardTimer)happening.Value, now.Fix),
                };
            case MoveKind.Tremble when now.Radio != RadioState.Up:
                return now with { Held = happening.Value };
            case MoveKind.RadioLost:
                return now with { Radio = RadioState.Lost, Held = HeldAfter(now, reading) };
            case MoveKind.TransmitterOff:
                return now with { Radio = RadioState.Off, Held = HeldAfter(now, reading) };
            case MoveKind.RadioBack or MoveKind.TransmitterOn:
                return now with { Radio = RadioState.Up, Held = 0, Linked = board.Powered };
            case MoveKind.PowerOff:
                return now with { Board = BoardState.Off, Held = 0, Linked = false };
            case MoveKind.PowerOn:
                var powered = now with
                {
                    Board = BoardMachine.PowerUp(plan.Board),
                    Linked = now.Radio == RadioState.Up,
                };
                return powered with { Held = powered.Linked ? 0 : HeldAfter(powered, 0) };
            case MoveKind.Turn:
                return now with { Lies = (Orientation)happening.Value };
            case MoveKind.Cable:
                return now with { Usb = (UsbState)happening.Value };
            case MoveKind.Fix:
                return happening.Value != 0
                    ? now with
                    {
                        Fix = true,
                    }
                    : now with
                    {
                        Fix = false,
                        Board = BoardMachine.LoseFix(board),
                    };
            case MoveKind.Input or MoveKind.ModelTime or MoveKind.SlowStep or MoveKind.Tremble:
                return now;
            default:
                throw new ArgumentOutOfRangeException(nameof(happening));
        }
    }

    // Timers that stand still at any time meanwhile are taken out.
    private BoardState See(in Situation now, BoardView view, ref int through)
    {
        var around = Around(plan.Setup.Board, now.Lies, now.Usb, now.Fix);
        var board = now.Board;
        for (var i = 0; i < MostRepeats; i++)
        {
            var next = BoardMachine.Receive(plan.Board, board, view, around);
            if (next == board)
                break;
            board = next;
            foreach (var timer in Timers)
                if (!BoardMachine.Runs(plan.Board, next, timer))
                    through &= ~BitOf(timer);
        }

        return board;
    }

    /// <summary>What the board knows of the world in a situation.</summary>
    public static Surroundings Around(FlightBoard board, Orientation lies, UsbState usb, bool fix = false) =>
        new(
            new Degrees(
                lies switch
                {
                    Orientation.Level => 0,
                    Orientation.Tilted => Math.Min(90, board.Guards.TiltLimit!.Value.Value + 1),
                    Orientation.UpsideDown => 180,
                }
            ),
            usb != UsbState.None,
            usb == UsbState.Unlocked,
            fix
        );

    // What a receiver goes on sending once the radio is gone.
    private int HeldAfter(in Situation now, int reading)
    {
        if (!now.Board.Powered || plan.Setup.Air.OnLoss == ReceiverLoss.Silent)
            return 0;
        if (now.Radio != RadioState.Up && now.Linked)
            return now.Held;
        if (plan.Setup.Air.OnLoss == ReceiverLoss.Hold)
            return now.Linked ? model.NumberOf(model.Readings[reading] & ~ProofScope.OwnBits) : 0;
        var bits = now.Linked ? (model.Readings[reading] & ~presetBits) | presetView : unlinkedView;
        return model.NumberOf(bits & ~ProofScope.OwnBits);
    }

    private Microseconds? Preset(int channel) =>
        plan.Setup.Air.OnLoss == ReceiverLoss.Preset
        && plan.Setup.Air.Presets.TryGetValue(new ChannelNumber(channel + 1), out var preset)
            ? plan.Wire.ToMicroseconds(plan.Wire.ToCount(preset, plan.Setup.Wire.Rounding))
            : null;

    private int Number(Situation situation)
    {
        if (!numbers.TryGetValue(situation, out var number))
        {
            number = situations.Count;
            numbers.Add(situation, number);
            situations.Add(situation);
        }

        return number;
    }
}
