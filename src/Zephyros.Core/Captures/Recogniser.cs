using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Tells what a recording of a receiver's signal wire speaks, and decodes it.</summary>
public static class Recogniser
{
    private const int FewestChanges = 8;
    private const int FewestFrames = 2;

    // Less than a few frames.
    private const int FewChanges = 300;

    // A good format explains most of the bytes; noise and telemetry may be the rest.
    private const double LeastShare = 0.3;

    // In shares of a bit: shorter is a spike.
    private const double ShortestLevel = 0.25;

    // So many samples a bit a decoder needs.
    [Figure(Station.Wire, "A serial line is read from so many samples a bit", ProvenanceKind.OwnAssumption)]
    private const double SamplesWanted = 4.3;

    // Without a checksum a frame is believed when its channels mostly stay where they were: within this share of their range, in so many.
    private const double Still = 0.05;
    private const double MostlyStill = 0.6;

    // A line that is read rightly has fewer wrong bytes than this share.
    private const double FewWrong = 0.03;

    // What has more wrong bytes than this share is no line of bytes.
    private const double MostWrong = 0.15;

    // So many changes tell of a framing whether it fits.
    private const int MostLookedAt = 50_000;

    // So few frames are said to be few.
    private const int FewFrames = 5;

    // About 2 % on either side.
    [Figure(Station.Wire, "A UART reads a line whose speed is off by a share of", ProvenanceKind.FromMemory)]
    private const double SpeedTolerance = 0.04;

    /// <summary>Recognises a recording of levels.</summary>
    /// <param name="capture">The recording.</param>
    /// <param name="cancel">Ends the work early.</param>
    /// <exception cref="OperationCanceledException">The work was ended early.</exception>
    public static CaptureVerdict Recognise(LineCapture capture, CancellationToken cancel = default)
    {
        if (capture.Changes.Length < FewestChanges)
            return Nothing(
                "The line hardly moves",
                $"There are {capture.Changes.Length} changes of level in {Figures.Plain(capture.End / 1e6, 3)} ms. Is the right pin recorded, and does the receiver have power?"
            );
        if (PulseRecogniser.Recognise(capture) is { } pulses)
            return pulses;
        cancel.ThrowIfCancellationRequested();
        var measured = BitTime.Measure(capture);
        if (measured is { } bit && Serial(capture, bit, measured: true) is { } found)
            return found;
        // Edges that come late stand on no grid of bits; a UART reads them all the same.
        foreach (var speed in KnownSpeeds)
        {
            cancel.ThrowIfCancellationRequested();
            if (Serial(capture, 1e9 / speed, measured: false) is { } read)
                return read;
        }

        if (TooSlow(capture, measured) is { } slow)
            return slow;
        return measured is { } own && Unknown(capture, own, 1e9 / own, IdlesHigh(capture, own)) is { } unknown
            ? unknown
            : Nothing(
                "Neither pulses nor bytes",
                "The stretches of level are neither servo pulses nor bytes of one speed. "
                    + (
                        capture.Changes.Length < FewChanges
                            ? $"There are only {capture.Changes.Length} changes of level: record half a second or more."
                            : "The line may be very noisy, or the recording too slow for it."
                    )
            );
    }

    private static IEnumerable<int> KnownSpeeds =>
        WireFormats.All.Select(f => f.Describe().Framing?.Baud).OfType<int>().Distinct().Order();

    // What was looked at too rarely tells nothing of the line; the receiver is not to blame.
    private static CaptureVerdict? TooSlow(LineCapture capture, double? bit)
    {
        if (SampleGrid.Of(capture) is not { } sample || (bit ?? 0) > SamplesWanted * sample)
            return null;
        // A line without pauses stands on the grid of its own bits; then its bytes are good ones.
        if (
            bit is { } own
            && WrongShare(capture, Likeliest(capture, own, 1e9 / own, IdlesHigh(capture, own)), own) < FewWrong
        )
            return null;
        int[] missed = [.. KnownSpeeds.Where(s => 1e9 / s < SamplesWanted * sample)];
        if (missed.Length == 0)
            return null;
        var shares = missed.Select(s => $"{Figures.Plain(1e9 / s / sample, 1)} at {SerialFraming.Speed(s)}");
        var wanted = Math.Ceiling(missed[^1] * SamplesWanted / 1e6);
        return Nothing(
            "Recorded too slowly",
            $"{Figures.Plain(SamplesWanted, 1)} samples a bit are needed; this has one sample every {Figures.Plain(sample / 1000, 2)} µs, which is {string.Join(", ", shares)}. Record at {Figures.Plain(wanted, 0)} MHz or more."
        );
    }

    /// <summary>Recognises a dump of bytes, which has no times, speed or polarity.</summary>
    public static CaptureVerdict Recognise(ReadOnlySpan<byte> dump)
    {
        // More frames than are looked at would be in it.
        var whole = dump.Length <= CaptureLimits.DumpBytes;
        if (!whole)
            dump = dump[..CaptureLimits.DumpBytes];
        var bytes = new SerialByte[dump.Length];
        for (var i = 0; i < bytes.Length; i++)
            bytes[i] = new SerialByte(i, dump[i], true);
        if (Candidates((_, _) => bytes, 0, null).FirstOrDefault() is not { } best)
            return Nothing(
                "No format fits these bytes",
                $"In {dump.Length} bytes no two frames of a known format stand together. If the port that took the dump had the wrong speed, parity or polarity, the bytes are not those of the wire: record the levels instead."
            ) with
            {
                Bytes = bytes,
            };
        return Found(best, bytes, bytes.Length) with
        {
            // Bytes have places, not times.
            Interval = null,
            Loss = CaptureLoss.Of(best.Frames, null, 0),
            Notes =
            [
                "A dump of bytes tells neither times, speed nor polarity of the line.",
                .. whole ? [] : new[] { $"Only its first {CaptureLimits.DumpBytes >> 20} MB was read." },
                .. Said(best),
            ],
        };
    }

    private static CaptureVerdict? Serial(LineCapture recorded, double bit, bool measured)
    {
        if (Spikes.Prevail(recorded, bit * ShortestLevel))
            return null;
        var (capture, spikes) = Spikes.TakeOut(recorded, bit * ShortestLevel);
        var baud = 1e9 / bit;
        var high = IdlesHigh(capture, bit);
        var read = new Dictionary<(Parity, int), List<SerialByte>>();
        IReadOnlyList<SerialByte> BytesOf(Parity parity, int stopBits)
        {
            if (!read.TryGetValue((parity, stopBits), out var bytes))
                read[(parity, stopBits)] = bytes = SerialReader.Read(
                    capture,
                    new SerialFraming((int)Math.Round(baud), parity, stopBits, !high),
                    bit
                );
            return bytes;
        }

        if (Candidates(BytesOf, bit, baud).FirstOrDefault() is not { } best)
            return null;
        var wanted = best.Codec.Framing;
        var flipped = wanted.Inverted == high;
        var off = (baud / wanted.Baud) - 1;
        return Found(best, BytesOf(wanted.Parity, wanted.StopBits), capture.End) with
        {
            Title = flipped ? $"{best.Codec.Descriptor.Name}, but upside down" : best.Codec.Descriptor.Name,
            IdlesHigh = high,
            IsFlipped = flipped,
            Baud = baud,
            Framing = wanted with { Baud = (int)Math.Round(baud), Inverted = !high },
            Spikes = spikes,
            Loss = CaptureLoss.Of(best.Frames, Tracks.Interval(best.Frames), capture.End),
            Notes =
            [
                .. measured
                    ? Measured(baud, wanted, high)
                    :
                    [
                        $"The bits are uneven: read at the usual {SerialFraming.Speed(wanted.Baud)}, as a UART would. Edges come late, or the recording is slow.",
                    ],
                .. flipped
                    ? new[]
                    {
                        $"{best.Codec.Descriptor.Name} idles {(wanted.Inverted ? "low" : "high")}, this line idles {(high ? "high" : "low")}: an inverter sits in between, or the recording was taken behind one. A port must be set for what arrives at it.",
                    }
                    : [],
                .. Math.Abs(off) > SpeedTolerance
                    ? new[]
                    {
                        $"{best.Codec.Descriptor.Name} runs at {SerialFraming.Speed(wanted.Baud)}, this line {Figures.Signed(off * 100, 1)} % from it: a board set for the usual speed will not understand it.",
                    }
                    : [],
                .. Said(best),
                .. Spikes.Words(spikes, bit * ShortestLevel),
            ],
        };
    }

    private static IEnumerable<string> Measured(double baud, SerialFraming framing, bool high)
    {
        var off = ((baud / framing.Baud) - 1) * 100;
        yield return $"Measured {SerialFraming.Speed(baud)} ({Figures.Signed(off, 1)} %), {(framing with { Inverted = !high }).Form}.";
    }

    // How far the frames can be trusted, and what is odd in them.
    private static IEnumerable<string> Said(Candidate candidate)
    {
        var wire = candidate.Codec.Descriptor;
        if (candidate.Frames.Count < FewFrames)
            yield return wire.HasChecksum
                ? $"Told by {candidate.Frames.Count} frames with good checksums."
                : $"Told by {candidate.Frames.Count} frames only, and the format has no checksum: record longer to be sure.";
        if (candidate.Frames.Count >= FrameFinder.MostFrames)
            yield return $"Only the first {Figures.Rough(FrameFinder.MostFrames)} frames were read.";
        if (candidate.Damaged > 0)
            yield return $"{candidate.Damaged} {(candidate.Damaged == 1 ? "frame was" : "frames were")} damaged.";
        foreach (var odd in Tracks.Of(wire, candidate.Frames, 0).Where(t => !Tracks.IsPulse(t.Rest)))
            yield return $"Channel {odd.Channel.Value} stands at {Figures.Plain(odd.Rest.Value, 0)} µs, which is no servo value: it is unused, or the receiver has a use of its own for it.";
    }

    private sealed record Candidate(
        WireFormat Format,
        SerialCodec Codec,
        List<FoundFrame> Frames,
        long Damaged,
        double Share
    );

    // The formats of which frames were found, the one that explains most first.
    private static IEnumerable<Candidate> Candidates(
        Func<Parity, int, IReadOnlyList<SerialByte>> bytesOf,
        double bit,
        double? baud
    )
    {
        var candidates = new List<Candidate>();
        foreach (var format in WireFormats.All)
        {
            if (format.Codec() is not SerialCodec codec)
                continue;
            var framing = codec.Framing;
            var bytes = bytesOf(framing.Parity, framing.StopBits);
            var (frames, damaged) = FrameFinder.Find(codec, bytes, bit * framing.BitsPerByte, LeastShare);
            var share = (double)frames.Sum(f => f.Length) / Math.Max(1, bytes.Count);
            if (
                frames.Count(f => f.Kind != FrameKind.Other) >= FewestFrames
                && share >= LeastShare
                && (codec.Descriptor.HasChecksum || IsSteady(codec.Descriptor, frames))
            )
                candidates.Add(new Candidate(format, codec, frames, damaged, share));
        }

        return candidates
            .OrderByDescending(c => baud is null || Math.Abs((baud.Value / c.Codec.Framing.Baud) - 1) <= SpeedTolerance)
            .ThenByDescending(c => Math.Round(c.Share, 1))
            .ThenBy(c => c.Damaged);
    }

    // Noise that looks like frames jumps everywhere; hands move few channels at a time.
    private static bool IsSteady(WireDescriptor wire, List<FoundFrame> frames)
    {
        var (still, all) = (0L, 0L);
        for (var i = wire.FramesForAll; i < frames.Count; i++)
        for (var channel = 0; channel < wire.Channels; channel++)
        {
            var moved = Math.Abs(frames[i].Counts[channel] - frames[i - 1].Counts[channel]);
            still += moved <= Still * (wire.LargestCount - wire.SmallestCount) ? 1 : 0;
            all++;
        }

        return all == 0 || still >= MostlyStill * all;
    }

    private static CaptureVerdict Found(Candidate best, IReadOnlyList<SerialByte> bytes, long end) =>
        new()
        {
            Format = best.Format,
            Title = best.Codec.Descriptor.Name,
            Notes = [],
            Frames = best.Frames,
            DamagedFrames = best.Damaged,
            Interval = Tracks.Interval(best.Frames),
            Bytes = bytes,
            Channels = Tracks.Of(best.Codec.Descriptor, best.Frames, end),
        };

    // A speed is only told where the bytes of it are good ones.
    private static CaptureVerdict? Unknown(LineCapture capture, double bit, double baud, bool high)
    {
        var framing = Likeliest(capture, bit, baud, high);
        var bytes = SerialReader.Read(capture, framing, bit);
        if (bytes.Count(b => !b.Good) > MostWrong * bytes.Count)
            return null;
        var nearest = WireFormats
            .All.Select(f => f.Describe())
            .Where(d => d.Framing is not null)
            .MinBy(d => Math.Abs(Math.Log(baud / d.Framing!.Baud)))!;
        return new CaptureVerdict
        {
            Format = null,
            Title = "Bytes of no known format",
            IdlesHigh = high,
            Baud = baud,
            Framing = framing,
            Bytes = bytes,
            Notes =
            [
                $"It runs at about {SerialFraming.Speed(baud)}, {framing.Form}.",
                $"Nearest in speed is {nearest.Name} ({nearest.Line}); its frames are not there. A receiver can often be set to another output.",
            ],
        };
    }

    // The framing with the fewest wrong bytes; of those that are nearly alike, the plainest.
    private static SerialFraming Likeliest(LineCapture capture, double bit, double baud, bool high)
    {
        var best = (Framing: new SerialFraming((int)Math.Round(baud), Parity.None, 1, !high), Wrong: double.MaxValue);
        foreach (var parity in Enum.GetValues<Parity>())
        foreach (var stopBits in new[] { 1, 2 })
        {
            var framing = best.Framing with { Parity = parity, StopBits = stopBits };
            var wrong = WrongShare(capture, framing, bit);
            if (wrong < best.Wrong - 0.02)
                best = (framing, wrong);
        }

        return best.Framing;
    }

    // The beginning tells enough.
    private static double WrongShare(LineCapture capture, SerialFraming framing, double bit)
    {
        var bytes = SerialReader.Read(capture.Beginning(MostLookedAt), framing, bit);
        return bytes.Count(b => !b.Good) / (double)Math.Max(1, bytes.Count);
    }

    // A line at rest stays at its level for longer than any byte does.
    private static bool IdlesHigh(LineCapture capture, double bit)
    {
        const double LongestByte = 11.5;
        var (high, low) = (0.0, 0.0);
        for (var i = 0; i <= capture.Changes.Length; i++)
        {
            var from = i == 0 ? 0 : capture.Changes[i - 1];
            var to = i == capture.Changes.Length ? capture.End : capture.Changes[i];
            if (to - from <= LongestByte * bit)
                continue;
            if (capture.LevelBefore(i))
                high += to - from;
            else
                low += to - from;
        }

        return high == low ? capture.LevelBefore(capture.Changes.Length) : high > low;
    }

    private static CaptureVerdict Nothing(string title, string note) =>
        new()
        {
            Format = null,
            Title = title,
            Notes = [note],
        };
}
