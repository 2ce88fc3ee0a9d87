using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Path;

/// <summary>The way from hands to board, compiled once from a setup. Evaluation allocates nothing.</summary>
public sealed class SignalPlan
{
    private readonly CountRounding rounding;
    private readonly int carried;
    private readonly int[] steps;
    private readonly Lazy<IReadOnlyList<ControlUse>> uses;

    private SignalPlan(Setup setup)
    {
        Setup = setup;
        Model = ModelPlan.Compile(setup.Transmitter, setup.Model);
        Wire = setup.Wire.Format.Describe();
        Board = new BoardPlan(setup.Board);
        rounding = setup.Wire.Rounding;
        carried = CarriedChannels(setup);
        QualityPlace = setup.Air.Receiver.QualityOn is { } on && on <= carried ? on - 1 : -1;
        steps = [.. Enumerable.Range(1, Wire.Channels).Select(setup.Air.StepsOn)];
        uses = new Lazy<IReadOnlyList<ControlUse>>(() => ControlUses.Of(this));
    }

    /// <summary>The setup that was compiled.</summary>
    public Setup Setup { get; }

    /// <summary>The compiled model.</summary>
    public ModelPlan Model { get; }

    /// <summary>The facts of the wire format.</summary>
    public WireDescriptor Wire { get; }

    /// <summary>The board, ready to read frames.</summary>
    public BoardPlan Board { get; }

    /// <summary>What every control does in every position; derived when it is first asked for.</summary>
    public IReadOnlyList<ControlUse> Uses => uses.Value;

    /// <summary>Compiles a valid setup.</summary>
    public static SignalPlan Compile(Setup setup) => new(setup);

    /// <summary>How many channels get from the transmitter to the board: the least of what transmitter, link and wire format carry.</summary>
    public static int CarriedChannels(Setup setup) =>
        Math.Min(
            Math.Min(setup.Transmitter.Channels, setup.Air.Channels),
            setup.Wire.Format.ChannelsIn(setup.Wire.FramePeriod)
        );

    /// <summary>Room for the values of this plan, with every control at its start position.</summary>
    public SignalValues CreateValues() => new(Model, Wire.Channels, Model.PowerOn());

    /// <summary>The same for a transmitter whose setup is edited while it runs; see <see cref="ModelPlan.GoOn"/>.</summary>
    public SignalValues GoOn(SignalPlan before, SignalValues values) =>
        new(Model, Wire.Channels, Model.GoOn(before.Model, values.Memory));

    /// <summary>Computes everything behind the hands and lets all that is under way come to its end.</summary>
    public void Settle(SignalValues values) => Evaluate(values, TimeSpan.MaxValue);

    /// <summary>Computes everything behind the hands. A channel that is not carried arrives at its centre.</summary>
    /// <param name="values">The values; what the model remembers is among them.</param>
    /// <param name="elapsed">The time since the last computation.</param>
    public void Evaluate(SignalValues values, TimeSpan elapsed)
    {
        var inputs = new ModelInputs(values.Hands, values.Readings, values.TelemetryLost);
        Model.Evaluate(inputs, elapsed, values.Memory, values.Slots, values.Sent);
        for (var i = 0; i < values.Counts.Length; i++)
        {
            var pulse = i < carried ? OverLink(i, values.Sent[i]) : Microseconds.Neutral;
            if (i == QualityPlace)
                pulse = QualityPulse(values.Quality);
            values.Counts[i] = Wire.ToCount(pulse, rounding);
            values.Received[i] = Wire.ToMicroseconds(values.Counts[i]);
        }
    }

    /// <summary>The place of the channel into which the receiver puts the signal quality, 0 for channel 1; -1 when it puts it nowhere
    /// that gets to the board.</summary>
    public int QualityPlace { get; }

    /// <summary>A signal quality of 0 to 100 % over the full travel of a channel.</summary>
    public Microseconds QualityPulse(Percent quality) =>
        Setup.Transmitter.Scale.ToMicroseconds(new Percent((2 * quality.Value) - 100));

    /// <summary>What the link makes of a value on its way to the receiver: its steps, or the centre where it does not carry the channel.</summary>
    /// <param name="channel">The place of the channel, 0 for channel 1.</param>
    /// <param name="sent">What the transmitter sends.</param>
    public Microseconds OverLink(int channel, Microseconds sent) =>
        channel >= carried ? Microseconds.Neutral
        : steps[channel] == LinkSteps.Full ? sent
        : LinkSteps.Through(sent, steps[channel], Setup.Transmitter.Scale);

    /// <summary>The channels that a control can change: first those that take it, then those that it reaches as a value through
    /// other channels, then those where it only decides; each by number.</summary>
    public IEnumerable<PlannedChannel> ChannelsOf(string controlId) =>
        Model.Channels.Where(c => c.DependsOn(controlId)).OrderBy(c => Distance(c, controlId));

    private int Distance(PlannedChannel channel, string controlId)
    {
        if (channel.SourceControl == controlId)
            return 0;
        var reaching = Model.Graph.CarriedTo(new ModelNode(NodeKind.Sent, channel.Id));
        return reaching.Contains(new ModelNode(NodeKind.Control, controlId)) ? 1 : 2;
    }

    /// <summary>The channel of a number, or null when nothing feeds it.</summary>
    public PlannedChannel? ChannelAt(ChannelNumber number) =>
        Model.Channels.FirstOrDefault(c => c.Channel.Number == number);

    /// <summary>What arrives on every channel when one control is put somewhere and the others rest at their start, from
    /// switch-on, after all that is under way has come to its end.</summary>
    /// <param name="controlId">The control.</param>
    /// <param name="setting">Where it is put; see <see cref="Control.Read"/>.</param>
    /// <exception cref="ArgumentException">There is no such control, or it cannot be put there.</exception>
    public SignalValues With(string controlId, double setting)
    {
        var values = CreateValues();
        var index = Model.IndexOf(controlId);
        if (index < 0 || Model.Controls[index].Value.Read(setting) is not { } value)
            throw new ArgumentException(
                $"There is no control \"{controlId}\" that can be put at {setting}.",
                nameof(controlId)
            );
        // First at rest, then the movement: latches and presses need both.
        Settle(values);
        values.Hands[index] = value;
        Settle(values);
        return values;
    }

    /// <summary>The channel that the throttle stick is sent on; where none takes it, the one that the board reads for it, or null.</summary>
    public PlannedChannel? ThrottleChannel =>
        Setup.Transmitter.StickOf(StickAxis.Throttle) is { } stick
        && Model.Channels.FirstOrDefault(c => c.SourceControl == stick) is { } channel
            ? channel
            : ChannelAt(Setup.Board.Map.ChannelOf(StickAxis.Throttle));

    /// <summary>True when the throttle channel sends what the board takes for low, whichever axis the board reads there.</summary>
    public bool ThrottleIsLow(SignalValues values) =>
        ThrottleChannel?.Channel.Number.Value is not { } number
        || number > values.Received.Length
        || Setup.Board.Scaled(StickAxis.Throttle, values.Received[number - 1]) < Setup.Board.ThrottleLow;

    /// <summary>The same while every control stands at its start.</summary>
    public bool IsThrottleLowAtStart()
    {
        var values = CreateValues();
        Settle(values);
        return ThrottleIsLow(values);
    }
}
