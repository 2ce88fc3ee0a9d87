using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Pulses;

/// <summary>Separate pulses: a wire for each channel, a pulse of 1000 to 2000 us on it every 20 ms.</summary>
/// <remarks>Common practice, no source.</remarks>
public sealed class SeparatePulsesFormat : WireCodec
{
    /// <summary>The most channels that a receiver has outputs for.</summary>
    public const int MostChannels = 16;

    private SeparatePulsesFormat() { }

    /// <summary>The format.</summary>
    public static SeparatePulsesFormat Instance { get; } = new();

    /// <inheritdoc />
    public override WireDescriptor Descriptor { get; } =
        new()
        {
            Name = "Separate pulses",
            Line = "one wire for each channel, a pulse of 1000 to 2000 µs",
            Channels = MostChannels,
            Zero = new Microseconds(0),
            Step = new Microseconds(1),
            SmallestCount = PulseLimits.Shortest,
            FramesForAll = 1,
            FrameBytes = 0,
            LargestCount = PulseLimits.Longest,
            UsualPeriods = [new(20)],
            TimeOnWire = new Milliseconds(2),
            LossShownBy = "pulses stop, or the receiver's presets",
            Wires = "one for each channel, as far as the receiver has outputs",
            Provenance = Provenance.Practice(),
        };

    /// <summary>Draws the pulse of one channel.</summary>
    /// <param name="count">Its length in microseconds.</param>
    /// <param name="start">When it begins, in nanoseconds.</param>
    /// <param name="edges">Takes the edges.</param>
    public static void Draw(int count, long start, ICollection<Edge> edges)
    {
        edges.Add(new Edge(start, true));
        edges.Add(new Edge(start + (Math.Clamp(count, PulseLimits.Shortest, PulseLimits.Longest) * 1000L), false));
    }

    /// <inheritdoc />
    public override WireLine CreateLine(int channels) => new Wires(channels);

    private sealed class Wires(int channels) : WireLine
    {
        public override bool Carry(ReadOnlySpan<int> sent, Span<int> received)
        {
            for (var i = 0; i < channels; i++)
                received[i] = Math.Clamp(sent[i], PulseLimits.Shortest, PulseLimits.Longest);
            return true;
        }

        public override WireLine Copy() => new Wires(channels);
    }
}
