using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Trace;

/// <summary>Follows one control from the hands to the craft and says at every station what has become of it.</summary>
public sealed class PathTracer
{
    private readonly SignalPlan plan;
    private readonly SignalValues values;
    private readonly BoardState board;
    private readonly IReadOnlyList<Microseconds> seen;
    private readonly OnTheWay way;
    private readonly bool workings;

    /// <summary>Prepares to follow controls at one moment.</summary>
    /// <param name="plan">The compiled setup.</param>
    /// <param name="values">The hands, and what the model makes of them.</param>
    /// <param name="way">What is between the model and the board.</param>
    /// <param name="board">The state of the board.</param>
    /// <param name="seen">What the board received last.</param>
    /// <param name="workings">True when the sums are wanted as well, which are most of the work.</param>
    public PathTracer(
        SignalPlan plan,
        SignalValues values,
        OnTheWay way,
        BoardState board,
        IReadOnlyList<Microseconds> seen,
        bool workings = true
    )
    {
        this.way = way;
        this.workings = workings;
        this.plan = plan;
        this.values = values;
        this.board = board;
        this.seen = seen;
    }

    /// <summary>Follows a control. One that several channels take is followed on the channel with the lowest number.</summary>
    /// <exception cref="ArgumentException">There is no such control.</exception>
    public PathTrace Follow(string controlId)
    {
        var index = plan.Model.IndexOf(controlId);
        if (index < 0)
            throw new ArgumentException($"There is no control \"{controlId}\".", nameof(controlId));
        var control = plan.Model.Controls[index].Value;
        var hands = AtHands(control, values.Hands[index]);
        var channel = plan.ChannelsOf(controlId).FirstOrDefault();
        return new PathTrace(
            controlId,
            control.Name,
            channel is null ? Unfed(hands) : [hands, .. Behind(control, controlId, channel)]
        );
    }

    private IReadOnlyList<string> Sums(Func<IEnumerable<string>> lines) => workings ? [.. lines()] : [];

    private static TraceStop[] Unfed(TraceStop hands) =>
        [
            hands,
            Ended(Station.Model, "no channel takes it"),
            .. new[] { Station.Air, Station.Wire, Station.Board, Station.Craft }.Select(s => Ended(s, "")),
        ];

    private static TraceStop Ended(Station station, string note) => new(station, "–", "", note, TraceMark.Ended, []);

    private IEnumerable<TraceStop> Behind(Control control, string controlId, PlannedChannel channel)
    {
        yield return AtModel(channel);
        var number = channel.Channel.Number;
        if (number.Value > SignalPlan.CarriedChannels(plan.Setup))
        {
            var limit = SignalPlan.CarriedChannels(plan.Setup);
            yield return Ended(Station.Air, $"only channels 1 to {limit} are carried") with
            {
                Mark = TraceMark.Wrong,
            };
            foreach (var station in new[] { Station.Wire, Station.Board, Station.Craft })
                yield return Ended(station, "");
            yield break;
        }

        yield return AtAir(number);
        // Without packets whatever is behind the air is not of this hand.
        foreach (var stop in BehindAir(control, controlId, number))
            yield return way.Packets || stop.Mark == TraceMark.Wrong ? stop : stop with { Mark = TraceMark.Ended };
    }

    private IEnumerable<TraceStop> BehindAir(Control control, string controlId, ChannelNumber number)
    {
        yield return AtWire(number);
        if (!board.HasSignal)
        {
            yield return Ended(Station.Board, board.Powered ? "no good frames arrive" : "the craft has no power");
            yield return Ended(Station.Craft, "motors off");
            yield break;
        }

        var arrival = number.Aux is null ? AtStickInput(control, number) : AtAuxInput(controlId, number);
        foreach (var stop in arrival)
            yield return stop;
    }

    private TraceStop AtHands(Control control, Percent value)
    {
        var (figure, unit, note) = control switch
        {
            StickControl stick => (Figures.Signed(value.Value, 0), "%", StickNote(stick, value)),
            SwitchControl selector => SwitchFigure(selector, value),
            ButtonControl => (control.NamedPositions[value.Value > 0 ? 1 : 0].Name, "", $"reads {value}"),
            SliderControl => (Figures.Signed(value.Value, 0), "%", "slider"),
            ExternalInput => (Figures.Signed(value.Value, 0), "%", "external input"),
            _ => (Figures.Signed(value.Value, 0), "%", "dial"),
        };
        return new TraceStop(
            Station.Hands,
            figure,
            unit,
            note,
            TraceMark.Live,
            Sums(() => [$"{control.Name} reads {value}."])
        );
    }

    private static (string Figure, string Unit, string Note) SwitchFigure(SwitchControl selector, Percent value)
    {
        var position = selector.PositionAt(value);
        return (selector.PositionName(position), "", $"position {position} of {selector.Positions}, reads {value}");
    }

    private string StickNote(StickControl stick, Percent value)
    {
        var place = StickMode.Locate(plan.Setup.Transmitter.StickMode, stick.Axis);
        var direction = (place.Vertical, Math.Sign(value.Value)) switch
        {
            (_, 0) => "centred",
            (true, 1) => "up",
            (true, _) => "down",
            (false, 1) => "to the right",
            _ => "to the left",
        };
        return $"{place} {direction}";
    }

    private TraceStop AtModel(PlannedChannel channel)
    {
        var sent = values.Sent[channel.Channel.Number.Value - 1];
        var number = channel.Channel.Number;
        return new TraceStop(
            Station.Model,
            Figures.Steady(sent.Value, 1),
            Microseconds.Symbol,
            $"channel {number.Value}{(number.Aux is { } aux ? $" · AUX {aux}" : "")} · carries {channel.Channel.Label}{(HoldingOverride(channel) is null ? "" : " · forced")}",
            TraceMark.Live,
            Sums(() => ModelWorking(channel, sent))
        );
    }

    private IEnumerable<string> ModelWorking(PlannedChannel channel, Microseconds sent)
    {
        var words = new ModelWords(plan.Setup.Transmitter, plan.Setup.Model);
        var slot = channel.FirstSlot;
        yield return $"Take {words.Of(channel.Channel.Take)}: {values.Slots[slot]}";
        foreach (var (_, step) in channel.Channel.OrderedSteps)
            yield return $"{Capital(words.Of(step))}: {values.Slots[++slot]}";
        var output = channel.Channel.Output;
        var reverse = output.Reverse ? "reversed, " : "";
        var leaving = values.Slots[channel.OutputSlot];
        yield return $"Output {reverse}ends {output.Low} and {output.High}, centre {output.Centre}: {leaving}";
        if (HoldingOverride(channel) is { } forced)
            yield return $"Forced by “{forced.Label}” while {words.Condition(forced.When)}: {values.Slots[channel.LastSlot]}";
        var factor = plan.Setup.Transmitter.Scale.MicrosecondsPerPercent();
        var final = values.Slots[channel.LastSlot].Value;
        yield return $"1500 + {Figures.Plain(factor)} × {Figures.Plain(final)} = {Figures.Plain(sent.Value)} µs";
    }

    private Override? HoldingOverride(PlannedChannel channel)
    {
        var index = plan.Model.Channels.ToList().IndexOf(channel);
        var model = plan.Setup.Model;
        return plan.Model.HoldingOverride(model, values.Memory, index) is { } id ? model.Overrides[id] : null;
    }

    private TraceStop AtAir(ChannelNumber number)
    {
        if (!way.Packets || way.Sent is not { } packet)
            return Ended(Station.Air, "no packets arrive");
        var (sent, pulse) = OverLink(number, packet);
        var link = plan.Setup.Air;
        return new TraceStop(
            Station.Air,
            Figures.Steady(pulse.Value, 1),
            Microseconds.Symbol,
            $"{link.Channels} channels · {link.PacketRate}",
            TraceMark.Live,
            Sums(() => [LinkWords(number, sent, pulse)])
        );
    }

    // What the transmitter sent in a packet, and what the link leaves of it.
    private (Microseconds Sent, Microseconds Arrives) OverLink(ChannelNumber number, IReadOnlyList<Microseconds> packet)
    {
        var sent = packet[number.Value - 1];
        return number.Value - 1 == plan.QualityPlace
            ? (sent, plan.QualityPulse(values.Quality))
            : (sent, plan.OverLink(number.Value - 1, sent));
    }

    private string LinkWords(ChannelNumber number, Microseconds sent, Microseconds arrives) =>
        number.Value - 1 == plan.QualityPlace
            ? $"The receiver puts the signal quality here: {arrives} instead of {sent}."
        : arrives != sent
            ? $"The link gives this channel {plan.Setup.Air.StepsOn(number.Value)} steps: {Figures.Plain(sent.Value)} µs arrives as {Figures.Plain(arrives.Value)} µs."
        : $"The link brings it as it was sent: {Figures.Plain(sent.Value)} µs.";

    private TraceStop AtWire(ChannelNumber number)
    {
        if (way.WhySilent.Length > 0 || way.Counts is not { } frame)
            return Ended(Station.Wire, way.WhySilent.Length > 0 ? way.WhySilent : "no frame has come yet");
        var count = frame[number.Value - 1];
        var value = plan.Wire.ToMicroseconds(count);
        return new TraceStop(
            Station.Wire,
            Figures.Plain(count),
            "count",
            way.Packets
                ? $"= {Figures.Steady(value.Value, 0)} µs · {plan.Wire.Name} · every {plan.Setup.Wire.FramePeriod}"
                : $"= {Figures.Steady(value.Value, 0)} µs · the receiver goes on without packets",
            TraceMark.Live,
            Sums(() =>
                [
                    .. way is { Packets: true, Sent: { } brought }
                        ? Counted(OverLink(number, brought).Arrives, count)
                        : Array.Empty<string>(),
                    $"{Figures.Plain(plan.Wire.Zero.Value, 3)} + {Figures.Plain(plan.Wire.Step.Value, 4)} × {count} = {Figures.Plain(value.Value, 3)} µs",
                    .. way is { Packets: true, Sent: { } packet }
                        ?
                        [
                            $"Rounding changed it by {Figures.Signed(value.Value - OverLink(number, packet).Arrives.Value, 3)} µs; one count is {Figures.Plain(plan.Wire.Step.Value, 4)} µs.",
                        ]
                        : Array.Empty<string>(),
                    plan.Wire.FrameBytes > 0
                        ? $"A frame of {plan.Wire.FrameBytes} bytes takes {Figures.Plain(plan.Wire.TimeOnWire.Value, 3)} ms on the wire."
                        : $"A frame takes up to {Figures.Plain(plan.Wire.TimeOnWire.Value, 3)} ms on the wire.",
                ]
            )
        );
    }

    private IEnumerable<string> Counted(Microseconds pulse, int count) =>
        [
            $"({Figures.Plain(pulse.Value)} − {Figures.Plain(plan.Wire.Zero.Value, 3)}) / {Figures.Plain(plan.Wire.Step.Value, 4)} = {Figures.Plain(plan.Wire.Exact(pulse))}",
            $"Made whole: {count} of {plan.Wire.SmallestCount} to {plan.Wire.LargestCount}",
        ];

    private TraceStop[] AtStickInput(Control control, ChannelNumber number)
    {
        var axis = plan.Setup.Board.Map.AxisOf(number);
        var received = seen[number.Value - 1];
        var value = plan.Setup.Board.Scaled(axis, received);
        var mark = control is StickControl stick && stick.Axis == axis ? TraceMark.Live : TraceMark.Wrong;
        var map = plan.Setup.Board.Map.Spelled();
        var boardStop = new TraceStop(
            Station.Board,
            axis.Word(),
            "",
            $"map {map} reads channel {number.Value}",
            mark,
            Sums(() =>
                [
                    $"The map {map} gives channel {number.Value} the letter {axis.Letter()}: {axis.Word()}.",
                    value == received
                        ? $"The board takes {Figures.Plain(value.Value, 3)} µs for {axis.Word()}."
                        : $"The board scales {Figures.Plain(received.Value, 3)} µs to {Figures.Plain(value.Value, 1)} µs and takes it for {axis.Word()}.",
                ]
            )
        );
        return [boardStop, AtCraft(axis, value, mark)];
    }

    private TraceStop AtCraft(StickAxis axis, Microseconds value, TraceMark mark)
    {
        var condition = board.Armed ? "armed" : "once it is armed";
        if (axis == StickAxis.Throttle)
        {
            var throttle = CraftResponse.Throttle(value);
            return new TraceStop(
                Station.Craft,
                Figures.Plain(throttle.Value, 0),
                "% throttle",
                AsArmed(value),
                mark,
                Sums(() => [$"({Figures.Plain(value.Value, 1)} − 1000) / 1000 = {Figures.Plain(throttle.Value, 1)} %"])
            );
        }

        var rate = CraftResponse.Rate(plan.Setup.Board, value);
        var asked = CraftResponse.UnheldRate(plan.Setup.Board, value);
        var held = asked == rate ? "" : $", held at {rate}";
        return new TraceStop(
            Station.Craft,
            Figures.Plain(Math.Abs(rate.Value), 0),
            $"{DegreesPerSecond.Symbol} {CraftResponse.Direction(axis, rate)}".TrimEnd(),
            $"{axis.Word()}, {condition}",
            mark,
            Sums(() => RateWorking(value, $"{Figures.Plain(asked.Value, 1)} °/s{held}"))
        );
    }

    // In the words by which the board arms or refuses: the two must agree.
    private string AsArmed(Microseconds throttle)
    {
        if (board.Armed)
            return board.Motors switch
            {
                MotorLevel.Off => "armed, the motors stand",
                MotorLevel.Idle or MotorLevel.IdleWithControl => "armed, the motors idle",
                MotorLevel.Thrust => "armed, the motors turn",
            };
        if (throttle.Value < plan.Setup.Board.ThrottleLow.Value)
            return "once it is armed; low enough to arm";
        return plan.Setup.Board.Guards.RefusesThrottle
            ? "once it is armed; not low, so it refuses to arm"
            : "once it is armed; not low";
    }

    private IEnumerable<string> RateWorking(Microseconds value, string result)
    {
        var settings = plan.Setup.Board;
        var stick = $"({Figures.Plain(value.Value, 1)} − {Figures.Plain(settings.Centre.Value, 0)}{Deadband()}) / 500";
        if (settings.Expo.Value == 0)
        {
            yield return $"{stick} × {settings.MaximumRate} = {result}";
            yield break;
        }

        var cubed = settings.Expo.Value / 100;
        yield return $"x = {stick} = {Figures.Plain(CraftResponse.Stick(settings, value), 3)}";
        yield return $"({Figures.Plain(1 - cubed, 2)} x + {Figures.Plain(cubed, 2)} x³) × {settings.MaximumRate} = {result}";
    }

    private string Deadband() =>
        plan.Setup.Board.Deadband.Value > 0
            ? $", less {Figures.Plain(plan.Setup.Board.Deadband.Value, 0)} of deadband,"
            : "";

    private TraceStop[] AtAuxInput(string controlId, ChannelNumber number)
    {
        var value = seen[number.Value - 1];
        var reading = $"{Capital(number)} reads {Figures.Plain(value.Value, 0)} µs";
        var craft = new TraceStop(
            Station.Craft,
            board.Armed ? "armed" : "disarmed",
            "",
            "motors " + (board.Armed ? "may turn" : "off"),
            TraceMark.Live,
            []
        );
        var functions = plan.Setup.Board.Functions.Values.Where(f => f.Channel == number).ToArray();
        if (functions.Length == 0)
        {
            // The control that is meant to arm, on a channel that the board does not watch for it, is the fault itself.
            var mark = plan.Setup.Board.Arm?.Value.Control == controlId ? TraceMark.Wrong : TraceMark.Ended;
            var note = $"nothing listens on AUX {number.Aux}";
            return
            [
                new(Station.Board, "nothing", "", note, mark, Sums(() => [reading])),
                Ended(Station.Craft, "") with
                {
                    Mark = mark,
                },
            ];
        }

        var active = functions.Where(f => f.Contains(value)).OrderBy(f => f.Low.Value).ToArray();
        var arms = functions.Any(f => f.Kind == FunctionKind.Arm);
        return
        [
            new(
                Station.Board,
                active.Length > 0 ? string.Join(" + ", active.Select(f => f.Label)) : "off",
                "",
                functions.Length == 1
                    ? $"AUX {number.Aux} is {(active.Length > 0 ? "inside" : "outside")} {Band(functions[0])}"
                    : $"AUX {number.Aux}, {active.Length} of {functions.Length} functions active",
                TraceMark.Live,
                Sums(() =>
                    [
                        reading + ".",
                        .. functions.Select(f =>
                            $"{f.Label} is active from {Band(f)}; the upper edge is no longer inside."
                        ),
                    ]
                )
            ),
            arms ? craft : Ended(Station.Craft, ""),
        ];
    }

    private static string Band(BoardFunction function) =>
        $"{Figures.Plain(function.Low.Value)} to {Figures.Plain(function.High.Value)} µs";

    private static string Capital(object text) =>
        text.ToString() is { Length: > 0 } words ? char.ToUpperInvariant(words[0]) + words[1..] : "";
}
