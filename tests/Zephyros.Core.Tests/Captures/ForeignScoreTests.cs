using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Captures;

/// <summary>Every format, either way round, as analysers of several speeds see it, whole and damaged: recognised, and every value of every
/// good frame within one count of what was sent.</summary>
public sealed class ForeignScoreTests
{
    private const int Frames = 40;

    // Stands for a channel that a frame does not carry.
    private const int NotInThis = -1;

    /// <summary>What happens to a recording.</summary>
    private enum Harm
    {
        None,
        Spikes,
        LateEdges,
        MissingFrames,
        NoiseBetween,
        WrongSpeed,
    }

    private sealed record Kind(WireFormat Format, bool Flipped, double Sample, Harm Harm, int Seed);

    // In microseconds: as exactly as one likes, 24 MHz, 12 MHz, 4 MHz.
    private static readonly double[] Samples = [0, 1 / 24.0, 1 / 12.0, 0.25];

    private static readonly bool[] Ways = [false, true];

    private static IEnumerable<Kind> Kinds(int seeds) =>
        from seed in Enumerable.Range(0, seeds)
        from format in WireFormats.All
        from flipped in Ways
        from sample in Samples
        from harm in Enum.GetValues<Harm>()
        select new Kind(format, flipped, sample, harm, seed);

    [Fact]
    public void Foreign_recordings_are_read_to_the_count()
    {
        var (kinds, read) = (0, 0);
        var failed = new List<string>();
        foreach (var kind in Kinds((int)Iterations.OfProofs(1)))
        {
            kinds++;
            if (Problem(kind) is { } problem)
                failed.Add($"{kind}: {problem}");
            else
                read++;
        }

        Score.Tell($"foreign recordings: {read} of {kinds} kinds read with every value within one count");
        Assert.True(failed.Count == 0, string.Join("\n", failed.Take(20)));
    }

    private static string? Problem(Kind kind)
    {
        var random = new Random(kind.Seed * 7919);
        var inverted = kind.Format is WireFormat.Packed16 or WireFormat.PulseTrain or WireFormat.SeparatePulses;
        var wire = kind.Format.Describe();
        var signal = new ForeignSignal
        {
            IdlesHigh = inverted == kind.Flipped,
            Sample = kind.Sample,
            LateBy = kind.Harm == Harm.LateEdges && wire.Framing is { } f ? 0.2 * 1e6 / f.Baud : 0,
        };
        var speed = kind.Harm == Harm.WrongSpeed ? 1.01 : 1;
        var sent = new List<(double At, int[] Pulses)>();
        int[] pulses = [.. Enumerable.Range(0, 16).Select(_ => 1000 + random.Next(1000))];
        for (var i = 0; i < Frames; i++)
        {
            // One hand moves one control.
            pulses[random.Next(16)] = 1000 + random.Next(1000);
            if (kind.Harm == Harm.MissingFrames && i % 7 == 3)
                continue;
            var at = (i + 1) * 25_013.7;
            sent.Add((at, [.. Draw(signal, kind.Format, pulses, i, at, speed)]));
            if (kind.Harm == Harm.Spikes)
                signal.Spike(at + random.Next(20_000), 0.06);
            if (kind.Harm == Harm.NoiseBetween && i % 5 == 2)
                for (var j = 0; j < 4; j++)
                    signal.Active(at + 23_700 + j, at + 23_700.3 + j);
        }

        var verdict = Recognised.As(signal.Record());
        if (verdict.Format != kind.Format)
            return $"read as {verdict.Format?.ToString() ?? verdict.Title}";
        if (verdict.IsFlipped != kind.Flipped)
            return "taken the wrong way round";
        // The formats of pulses learn from a frame's end where the next begins.
        if (verdict.Frames.Count < sent.Count - 1)
            return $"{verdict.Frames.Count} of {sent.Count} frames";
        foreach (var frame in verdict.Frames.Skip(wire.FramesForAll - 1))
        {
            var (at, expected) = sent.MinBy(s => Math.Abs((s.At * 1000) - frame.At));
            for (var channel = 0; channel < Math.Min(frame.Counts.Count, expected.Length); channel++)
                if (
                    expected[channel] != NotInThis
                    && Math.Abs(wire.ToMicroseconds(frame.Counts[channel]).Value - expected[channel])
                        > wire.Step.Value + 0.51
                )
                    return $"channel {channel + 1} at {at} µs reads {wire.ToMicroseconds(frame.Counts[channel])}, sent {expected[channel]}";
        }

        return null;
    }

    private static int[] Draw(ForeignSignal signal, WireFormat format, int[] pulses, int turn, double at, double speed)
    {
        // Counts by hand: 0.625 µs from 880 for packed ones, 1194 µs over 2048 or 1024 around 1500 for bursts.
        int[] packed = [.. pulses.Select(p => (int)Math.Round((p - 880) / 0.625))];
        int Burst(int p, int range) => (int)Math.Round(((p - 1500) * range / 1194.0) + (range / 2.0));
        switch (format)
        {
            case WireFormat.Packed16:
                signal.Bytes(at, ForeignSignal.Packed16(packed), 10 / speed, 'E', 2);
                return pulses;
            case WireFormat.Duplex:
                signal.Bytes(at, ForeignSignal.Duplex(packed), 1e6 / 420_000 / speed);
                return pulses;
            case WireFormat.Word14:
                signal.Bytes(at, ForeignSignal.Word14(pulses[..14]), 1e6 / 115_200 / speed);
                return pulses[..14];
            case WireFormat.Burst7:
                signal.Bytes(
                    at,
                    ForeignSignal.Burst7([.. pulses[..12].Select(p => Burst(p, 2048))], turn % 2),
                    1e6 / 115_200 / speed
                );
                return turn % 2 == 0 ? pulses[..7] : [.. Enumerable.Repeat(NotInThis, 7), .. pulses[7..12]];
            case WireFormat.Burst7Coarse:
                byte[] words = [0, 0, .. pulses[..7].SelectMany((p, c) => Halves((c * 1024) + Burst(p, 1024)))];
                signal.Bytes(at, words, 1e6 / 115_200 / speed);
                return pulses[..7];
            case WireFormat.PulseTrain:
                var mark = at;
                for (var i = 0; i <= 8; i++)
                {
                    signal.Active(mark, mark + 350);
                    mark += i < 8 ? pulses[i] : 0;
                }

                return pulses[..8];
            case WireFormat.SeparatePulses:
                signal.Active(at, at + pulses[2]);
                return [pulses[2]];
            default:
                throw new ArgumentOutOfRangeException(nameof(format), format, "A format without a foreign encoder.");
        }
    }

    private static byte[] Halves(int word) => [(byte)(word / 256), (byte)(word % 256)];
}
