using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>A model compiled once into a flat list of operations. Evaluation allocates nothing, and the value after every
/// step stays in its slot, because showing it is what makes a setup understandable.</summary>
public sealed class ModelPlan
{
    private readonly Operation[] operations;
    private readonly PlannedChannel[] channels;
    private readonly PulseScale scale;
    private readonly Dictionary<string, int> handIndex;

    private ModelPlan(Transmitter transmitter, Operation[] operations, PlannedChannel[] channels)
    {
        this.operations = operations;
        scale = transmitter.Scale;
        this.channels = channels;
        ChannelCount = transmitter.Channels;
        Controls = transmitter.Listed;
        handIndex = Controls.Select((c, i) => (c.Key, i)).ToDictionary(p => p.Key, p => p.i, StringComparer.Ordinal);
    }

    /// <summary>The controls in the order in which their values are passed to <see cref="Evaluate"/>.</summary>
    public IReadOnlyList<KeyValuePair<string, Control>> Controls { get; }

    /// <summary>The channels that the model feeds, by number.</summary>
    public IReadOnlyList<PlannedChannel> Channels => channels;

    /// <summary>How many channels the transmitter sends; the length of the pulses that <see cref="Evaluate"/> writes.</summary>
    public int ChannelCount { get; }

    /// <summary>How many values <see cref="Evaluate"/> leaves behind: one for every step of every channel.</summary>
    public int SlotCount => operations.Length;

    /// <summary>Compiles a model. The setup must be valid: sources name controls, numbers are unique and within the count.</summary>
    public static ModelPlan Compile(Transmitter transmitter, TransmitterModel model)
    {
        var listed = transmitter.Listed;
        var compiled = new List<Operation>();
        var planned = new List<PlannedChannel>();
        foreach (var (id, channel) in model.Channels.OrderBy(c => c.Value.Number.Value))
        {
            var first = compiled.Count;
            var source = ((ControlSource)channel.Take).Control;
            compiled.Add(Operation.Take(Enumerable.Range(0, listed.Count).First(i => listed[i].Key == source)));
            foreach (var (_, step) in channel.OrderedSteps)
                compiled.Add(Operation.Of((ScaleStep)step));
            compiled.Add(Operation.Of(channel.Output));
            planned.Add(new PlannedChannel(id, channel, source, first, compiled.Count - first));
        }

        return new ModelPlan(transmitter, [.. compiled], [.. planned]);
    }

    /// <summary>The place of a control in the values passed to <see cref="Evaluate"/>, or -1 when there is none of that id.</summary>
    public int IndexOf(string controlId) => handIndex.GetValueOrDefault(controlId, -1);

    /// <summary>The values of all controls at switch-on.</summary>
    public Percent[] StartValues() => [.. Controls.Select(c => c.Value.StartValue)];

    /// <summary>Evaluates the model.</summary>
    /// <param name="hands">The value of each control, in the order of <see cref="Controls"/>.</param>
    /// <param name="slots">Takes the value after every step; <see cref="SlotCount"/> long.</param>
    /// <param name="sent">Takes the pulse of every channel, channel 1 first; <see cref="ChannelCount"/> long. A channel that
    /// nothing feeds is sent at its centre.</param>
    public void Evaluate(ReadOnlySpan<Percent> hands, Span<Percent> slots, Span<Microseconds> sent)
    {
        var value = 0.0;
        for (var i = 0; i < operations.Length; i++)
        {
            ref readonly var operation = ref operations[i];
            value = operation.Apply(value, hands);
            slots[i] = new Percent(value);
        }

        sent.Fill(Microseconds.Neutral);
        // Over the array itself: the interface would allocate an enumerator.
        foreach (var channel in channels)
            sent[channel.Channel.Number.Value - 1] = scale.ToMicroseconds(slots[channel.LastSlot]);
    }

    private enum Kind : byte
    {
        Take,
        Scale,
        Output,
    }

    // One operation with its numbers laid out flat. For the output stage A and B are the slopes below and above the centre,
    // C is the centre, and Low and High hold the value.
    private readonly struct Operation
    {
        private readonly Kind kind;
        private readonly int source;
        private readonly double a;
        private readonly double b;
        private readonly double c;
        private readonly double low;
        private readonly double high;

        private Operation(
            Kind kind,
            int source,
            double a = 0,
            double b = 0,
            double c = 0,
            double low = 0,
            double high = 0
        )
        {
            this.kind = kind;
            this.source = source;
            this.a = a;
            this.b = b;
            this.c = c;
            this.low = low;
            this.high = high;
        }

        public static Operation Take(int source) => new(Kind.Take, source);

        public static Operation Of(ScaleStep step) => new(Kind.Scale, 0, step.Scale.Value / 100, step.Shift.Value);

        public static Operation Of(OutputStage stage)
        {
            var (low, centre, high) = (stage.Low.Value, stage.Centre.Value, stage.High.Value);
            var below = (centre - low) / 100;
            var above = (high - centre) / 100;
            // Turned round, a negative input runs up from the centre to the high end.
            return stage.Reverse
                ? new Operation(Kind.Output, 0, -above, -below, centre, low, high)
                : new Operation(Kind.Output, 0, below, above, centre, low, high);
        }

        public double Apply(double value, ReadOnlySpan<Percent> hands) =>
            kind switch
            {
                Kind.Take => hands[source].Value,
                Kind.Scale => (value * a) + b,
                _ => Math.Clamp(c + (value * (value < 0 ? a : b)), low, high),
            };
    }
}
