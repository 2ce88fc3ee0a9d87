using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Tells what a recording of a receiver's signal wire speaks, and decodes it.</summary>
public static class Recogniser
{
    private const int FewestChanges = 8;
    private const int FewestFrames = 2;

    // A good format explains most of the bytes; noise and telemetry may be the rest.
    private const double LeastShare = 0.3;

    // About 2 % on either side.
    [Figure(Station.Wire, "A UART reads a line whose speed is off by a share of", ProvenanceKind.FromMemory)]
    private const double SpeedTolerance = 0.04;

    /// <summary>Recognises a recording of levels.</summary>
    public static CaptureVerdict Recognise(LineCapture capture)
    {
        if (capture.Changes.Length < FewestChanges)
            return Nothing(
                "The line hardly moves",
                $"There are {capture.Changes.Length} changes of level in {Figures.Plain(capture.End / 1e6, 3)} ms. Is the right pin recorded, and does the receiver have power?"
            );
        if (PulseRecogniser.Recognise(capture) is { } pulses)
            return pulses;
        if (BitTime.Measure(capture) is not { } bit)
            return Nothing(
                "Neither pulses nor bytes",
                "The stretches of level are no whole multiples of one bit, and no servo pulses. The recording may be too slow for the line, or very noisy."
            );
        return Serial(capture, bit);
    }

    /// <summary>Recognises a dump of bytes, which has no times, speed or polarity.</summary>
    public static CaptureVerdict Recognise(ReadOnlySpan<byte> dump)
    {
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
        return Found(best, bytes) with
        {
            Notes = ["A dump of bytes tells neither speed nor polarity of the line.", .. Damage(best)],
        };
    }

    private static CaptureVerdict Serial(LineCapture capture, double bit)
    {
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
            return Unknown(capture, bit, baud, high);
        var wanted = best.Codec.Framing;
        var flipped = wanted.Inverted == high;
        var off = (baud / wanted.Baud) - 1;
        return Found(best, BytesOf(wanted.Parity, wanted.StopBits)) with
        {
            Title = flipped ? $"{best.Codec.Descriptor.Name}, but upside down" : best.Codec.Descriptor.Name,
            IdlesHigh = high,
            IsFlipped = flipped,
            Baud = baud,
            Framing = wanted with { Baud = (int)Math.Round(baud), Inverted = !high },
            Notes =
            [
                .. Measured(baud, wanted, high),
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
                .. Damage(best),
            ],
        };
    }

    private static IEnumerable<string> Measured(double baud, SerialFraming framing, bool high)
    {
        var off = ((baud / framing.Baud) - 1) * 100;
        yield return $"Measured {SerialFraming.Speed(baud)} ({Figures.Signed(off, 1)} %), {(framing with { Inverted = !high }).Form}.";
    }

    private static IEnumerable<string> Damage(Candidate candidate) =>
        candidate.Damaged > 0
            ? [$"{candidate.Damaged} {(candidate.Damaged == 1 ? "frame was" : "frames were")} damaged."]
            : [];

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
            var (frames, damaged) = FrameFinder.Find(codec, bytes, bit * framing.BitsPerByte);
            var share = (double)frames.Count * codec.Descriptor.FrameBytes / Math.Max(1, bytes.Count);
            if (frames.Count(f => f.Kind != FrameKind.Other) >= FewestFrames && share >= LeastShare)
                candidates.Add(new Candidate(format, codec, frames, damaged, share));
        }

        return candidates
            .OrderByDescending(c => baud is null || Math.Abs((baud.Value / c.Codec.Framing.Baud) - 1) <= SpeedTolerance)
            .ThenByDescending(c => Math.Round(c.Share, 1))
            .ThenBy(c => c.Damaged);
    }

    private static CaptureVerdict Found(Candidate best, IReadOnlyList<SerialByte> bytes) =>
        new()
        {
            Format = best.Format,
            Title = best.Codec.Descriptor.Name,
            Notes = [],
            Frames = best.Frames,
            DamagedFrames = best.Damaged,
            Interval = Tracks.Interval(best.Frames),
            Bytes = bytes,
            Channels = Tracks.Of(best.Codec.Descriptor, best.Frames),
        };

    private static CaptureVerdict Unknown(LineCapture capture, double bit, double baud, bool high)
    {
        var framing = Likeliest(capture, bit, baud, high);
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
            Bytes = SerialReader.Read(capture, framing, bit),
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
            var bytes = SerialReader.Read(capture, framing, bit);
            var wrong = bytes.Count(b => !b.Good) / (double)Math.Max(1, bytes.Count);
            if (wrong < best.Wrong - 0.02)
                best = (framing, wrong);
        }

        return best.Framing;
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
