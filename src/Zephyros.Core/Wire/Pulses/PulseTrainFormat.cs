using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Pulses;

/// <summary>Pulse train: every channel is the time from one short mark to the next, one after the other on one wire; a long gap ends the
/// frame.</summary>
/// <remarks>Marks of 300 to 400 us and a gap of more than 2.7 ms, from memory.</remarks>
public sealed class PulseTrainFormat : WireCodec
{
    /// <summary>The most channels that a receiver puts into one train.</summary>
    public const int MostChannels = 12;

    /// <summary>Longer than this without a mark ends a frame, in microseconds.</summary>
    [Figure(Station.Wire, "In a pulse train a frame ends with no mark for", ProvenanceKind.FromMemory, Unit = "µs")]
    public const int SyncGap = 2700;

    /// <summary>The length of a mark, in microseconds.</summary>
    [Figure(Station.Wire, "A mark of a pulse train is at least", ProvenanceKind.FromMemory, Unit = "µs")]
    public const int Mark = 300;

    // What one channel may need, in microseconds.
    private const int FullPulse = 2000;

    private PulseTrainFormat() { }

    /// <summary>The format.</summary>
    public static PulseTrainFormat Instance { get; } = new();

    /// <inheritdoc />
    public override WireDescriptor Descriptor { get; } =
        new()
        {
            Name = "Pulse train",
            Line = "one wire, marks of 300 to 400 µs, a gap of more than 2.7 ms between frames",
            Channels = MostChannels,
            Zero = new Microseconds(0),
            Step = new Microseconds(1),
            SmallestCount = PulseLimits.Shortest,
            FramesForAll = 1,
            FrameBytes = 0,
            LargestCount = PulseLimits.Longest,
            UsualPeriods = [new(20), new(22.5)],
            TimeOnWire = new Milliseconds(ShortestPeriod(8).Value),
            LossShownBy = "pulses stop",
            Wires = "one: all channels on one wire",
            Provenance = Provenance.Memory(),
        };

    /// <summary>The shortest period that holds so many channels, all of them at 2000 us.</summary>
    public static Milliseconds ShortestPeriod(int channels) => new(((channels * FullPulse) + SyncGap) / 1000.0);

    /// <summary>How many channels a period holds, at most <see cref="MostChannels"/>.</summary>
    public static int ChannelsIn(Milliseconds period) =>
        Math.Clamp((int)(((period.Value * 1000) - SyncGap) / FullPulse), 0, MostChannels);

    /// <summary>Draws one frame: marks are high.</summary>
    /// <param name="counts">The channels that are sent.</param>
    /// <param name="start">When it begins, in nanoseconds.</param>
    /// <param name="edges">Takes the edges.</param>
    public static void Draw(ReadOnlySpan<int> counts, long start, ICollection<Edge> edges)
    {
        var at = start;
        for (var i = 0; i <= counts.Length; i++)
        {
            edges.Add(new Edge(at, true));
            edges.Add(new Edge(at + (Mark * 1000L), false));
            if (i < counts.Length)
                at += Math.Clamp(counts[i], PulseLimits.Shortest, PulseLimits.Longest) * 1000L;
        }
    }

    /// <summary>Reads the channels of one frame from the beginnings of its marks, in nanoseconds.</summary>
    /// <returns>True when there are as many channels as there is room, each as long as a pulse may be.</returns>
    public static bool Read(ReadOnlySpan<long> marks, Span<int> counts)
    {
        if (marks.Length < 2 || marks.Length - 1 > counts.Length)
            return false;
        for (var i = 1; i < marks.Length; i++)
        {
            var pulse = (int)Math.Round((marks[i] - marks[i - 1]) / 1000.0);
            if (pulse is < PulseLimits.Shortest or > PulseLimits.Longest)
                return false;
            counts[i - 1] = pulse;
        }

        return true;
    }

    /// <inheritdoc />
    public override WireLine CreateLine(int channels) => new Train(channels);

    private sealed class Train(int channels) : WireLine
    {
        private readonly List<Edge> edges = [];

        public override bool Carry(ReadOnlySpan<int> sent, Span<int> received)
        {
            edges.Clear();
            Draw(sent[..channels], 0, edges);
            return Read([.. edges.Where(e => e.High).Select(e => e.At)], received[..channels]);
        }

        public override WireLine Copy() => new Train(channels);
    }
}
