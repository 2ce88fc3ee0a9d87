using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>A model compiled once into a flat list of operations. Evaluation allocates nothing, and the value after every
/// step stays in its slot, because showing it is what makes a setup understandable.</summary>
public sealed class ModelPlan
{
    private readonly Chain[] chains;
    private readonly Linear[] steps;
    private readonly double microsecondsPerPercent;
    private readonly Dictionary<string, int> handIndex;

    private ModelPlan(Transmitter transmitter, TransmitterModel model)
    {
        Controls = transmitter.Listed;
        handIndex = Controls.Select((c, i) => (c.Key, i)).ToDictionary(p => p.Key, p => p.i, StringComparer.Ordinal);
        ChannelCount = transmitter.Channels;
        microsecondsPerPercent = transmitter.Scale.MicrosecondsPerPercent();
        var planned = new List<PlannedChannel>();
        var middle = new List<Linear>();
        foreach (var (id, channel) in model.Channels.OrderBy(c => c.Value.Number.Value))
        {
            var source = ((ControlSource)channel.Take).Control;
            middle.AddRange(channel.OrderedSteps.Select(s => new Linear((ScaleStep)s.Value)));
            planned.Add(new PlannedChannel(id, channel, source, SlotCount, channel.Steps.Count + 2));
            SlotCount += channel.Steps.Count + 2;
        }

        Channels = planned;
        steps = [.. middle];
        chains = [.. planned.Select(c => new Chain(handIndex[c.SourceControl], c.Channel))];
    }

    /// <summary>The controls in the order in which their values are passed to <see cref="Evaluate"/>.</summary>
    public IReadOnlyList<KeyValuePair<string, Control>> Controls { get; }

    /// <summary>The channels that the model feeds, by number.</summary>
    public IReadOnlyList<PlannedChannel> Channels { get; }

    /// <summary>How many channels the transmitter sends; the length of the pulses that <see cref="Evaluate"/> writes.</summary>
    public int ChannelCount { get; }

    /// <summary>How many values <see cref="Evaluate"/> leaves behind: one for every step of every channel.</summary>
    public int SlotCount { get; }

    /// <summary>Compiles a model. The setup must be valid: sources name controls, numbers are unique and within the count.</summary>
    public static ModelPlan Compile(Transmitter transmitter, TransmitterModel model) => new(transmitter, model);

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
        sent.Fill(Microseconds.Neutral);
        var (slot, step) = (0, 0);
        foreach (ref readonly var chain in chains.AsSpan())
        {
            var value = hands[chain.Source].Value;
            slots[slot++] = new Percent(value);
            for (var end = step + chain.StepCount; step < end; step++)
            {
                value = steps[step].Apply(value);
                slots[slot++] = new Percent(value);
            }

            value = chain.Leave(value);
            slots[slot++] = new Percent(value);
            sent[chain.SentIndex] = new Microseconds(Microseconds.Neutral.Value + (microsecondsPerPercent * value));
        }
    }

    // A step between source and output stage.
    private readonly struct Linear(ScaleStep step)
    {
        private readonly double factor = step.Scale.Value / 100;
        private readonly double shift = step.Shift.Value;

        public double Apply(double value) => (value * factor) + shift;
    }

    // A channel: its source, how many steps follow, and the output stage as two slopes that meet at the centre.
    private readonly struct Chain
    {
        public readonly int Source;
        public readonly int StepCount;
        public readonly int SentIndex;
        private readonly double below;
        private readonly double above;
        private readonly double centre;
        private readonly double low;
        private readonly double high;

        public Chain(int source, Channel channel)
        {
            Source = source;
            StepCount = channel.Steps.Count;
            SentIndex = channel.Number.Value - 1;
            (low, centre, high) = (channel.Output.Low.Value, channel.Output.Centre.Value, channel.Output.High.Value);
            (below, above) = ((centre - low) / 100, (high - centre) / 100);
            // Turned round, a negative value runs up from the centre to the high end.
            if (channel.Output.Reverse)
                (below, above) = (-above, -below);
        }

        // Low lies below high in every valid setup; Math.Clamp would check that each time.
        public double Leave(double value)
        {
            var leaving = centre + (value * (value < 0 ? below : above));
            if (leaving < low)
                return low;
            return leaving > high ? high : leaving;
        }
    }
}
