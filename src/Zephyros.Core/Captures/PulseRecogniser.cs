using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Pulses;

namespace Zephyros.Core.Captures;

/// <summary>Recognises the formats that are made of pulses.</summary>
internal static class PulseRecogniser
{
    private const double Enough = 0.85;

    // In microseconds; what lies between is neither a mark nor a servo pulse.
    private const double LongestMark = 520;
    private const double ShortestMark = 180;
    private const double ShortestPeriod = 2400;

    // Into more pieces than this a disturbance does not cut a pulse.
    private const int MostPieces = 3;

    // What is shorter is a disturbance.
    private const double ShortestPulse = 50;

    // In nanoseconds; bits are longer, or many.
    private const double ShortestLevel = 5_000;

    /// <summary>The verdict, or null when the line carries no such pulses.</summary>
    public static CaptureVerdict? Recognise(LineCapture capture)
    {
        // More spikes than levels are bits.
        if (Spikes.Prevail(capture, ShortestLevel))
            return null;
        var (clean, spikes) = Spikes.TakeOut(capture, ShortestLevel);
        foreach (var high in new[] { true, false })
        {
            var (pulses, disturbed) = Pulses(clean, high);
            if (pulses.Count < 3)
                continue;
            var verdict =
                Share(pulses, p => p.Length is >= ShortestMark and <= LongestMark) >= Enough
                    ? Train(pulses, high, capture.End)
                : IsServo(pulses) ? Single(pulses, high, capture.End)
                : null;
            if (verdict is not null)
                return verdict with
                {
                    Spikes = spikes + disturbed,
                    Loss = CaptureLoss.Of(verdict.Frames, verdict.Interval, capture.End),
                    Notes = [.. verdict.Notes, .. Spikes.Words(spikes + disturbed, ShortestPulse * 1000)],
                };
        }

        return null;
    }

    // Servo pulses come at up to 400 Hz, one like the other in their distance.
    private static bool IsServo(List<Pulse> pulses) =>
        Share(pulses, p => p.Length is >= 750 and <= 2250) >= Enough
        && Share(pulses.SkipLast(1).ToList(), p => p.Length + p.Pause >= ShortestPeriod) >= Enough
        && Middle(pulses.SkipLast(1).Select(p => p.Length + p.Pause)) is var usual
        && Share(pulses.SkipLast(1).ToList(), p => IsWhole((p.Length + p.Pause) / usual)) >= Enough;

    // One period, or several where pulses are missing.
    private static bool IsWhole(double periods) => Math.Abs(periods - Math.Max(1, Math.Round(periods))) <= 0.15;

    private static double Share(List<Pulse> pulses, Func<Pulse, bool> fits) =>
        (double)pulses.Count(fits) / pulses.Count;

    // A stretch of one level and the pause before the next, times in nanoseconds and microseconds.
    private readonly record struct Pulse(long At, double Length, double Pause);

    // A disturbance is passed over, whichever way it goes, and counted.
    private static (List<Pulse> Pulses, int Disturbed) Pulses(LineCapture capture, bool high)
    {
        var begun = -1L;
        var found = new List<(long From, long To)>();
        for (var i = 0; i < capture.Changes.Length; i++)
        {
            var becomes = capture.LevelBefore(i + 1);
            if (becomes == high)
                begun = capture.Changes[i];
            else if (begun >= 0)
                found.Add((begun, capture.Changes[i]));
        }

        var joined = new List<(long From, long To, int Pieces)>();
        foreach (var (from, to) in found)
            if (joined.Count > 0 && IsDropout(joined[^1].From, joined[^1].To, from, to))
                joined[^1] = (joined[^1].From, to, joined[^1].Pieces + 1);
            else
                joined.Add((from, to, 1));
        var disturbed = joined.Sum(p => p.Pieces - 1) + joined.RemoveAll(p => p.To - p.From < ShortestPulse * 1000);
        // Bits that stand together are no pulse.
        if (joined.Count(p => p.Pieces > MostPieces) * 2 > joined.Count)
            return ([], disturbed);
        return (
            [
                .. joined.Select(
                    (p, i) =>
                        new Pulse(
                            p.From,
                            (p.To - p.From) / 1000.0,
                            ((i + 1 < joined.Count ? joined[i + 1].From : capture.End) - p.To) / 1000.0
                        )
                ),
            ],
            disturbed
        );
    }

    // A short hole belongs to a pulse when it is shorter than what stands on either side: what is shorter than the hole is a spike beside
    // the pulse, and must not make it longer.
    private static bool IsDropout(long from, long to, long nextFrom, long nextTo) =>
        nextFrom - to < ShortestPulse * 1000 && nextFrom - to < Math.Min(to - from, nextTo - nextFrom);

    private static CaptureVerdict? Train(List<Pulse> marks, bool high, long end)
    {
        var frames = new List<FoundFrame>();
        var damaged = 0L;
        var group = new List<long>();
        var whole = false;
        var counts = new int[PulseTrainFormat.MostChannels];
        foreach (var mark in marks)
        {
            group.Add(mark.At);
            if (mark.Pause + mark.Length <= PulseTrainFormat.SyncGap)
                continue;
            // What stands before the first gap may be the rest of a frame.
            if (whole)
            {
                if (PulseTrainFormat.Read([.. group], counts))
                    frames.Add(new FoundFrame(group[0], FrameKind.Channels, [.. counts[..(group.Count - 1)]]));
                else
                    damaged++;
            }

            group.Clear();
            whole = true;
        }

        if (frames.Count < 2)
            return null;
        var channels = frames.CountBy(f => f.Counts.Count).MaxBy(c => c.Value).Key;
        damaged += frames.RemoveAll(f => f.Counts.Count != channels);
        return new CaptureVerdict
        {
            Format = WireFormat.PulseTrain,
            Title = $"Pulse train of {channels} channels",
            IdlesHigh = !high,
            IsFlipped = !high,
            DamagedFrames = damaged,
            Frames = frames,
            Interval = Tracks.Interval(frames),
            Channels = Tracks.Of(PulseTrainFormat.Instance.Descriptor, frames, end),
            Notes =
            [
                $"Marks of {Figures.Plain(Middle(marks.Select(m => m.Length)), 0)} µs, {(high ? "high" : "low")}.",
                .. high ? [] : new[] { "Most receivers send high marks; some boards take either." },
                .. damaged > 0 ? new[] { $"{damaged} frames were damaged." } : [],
            ],
        };
    }

    private static CaptureVerdict Single(List<Pulse> pulses, bool high, long end)
    {
        List<FoundFrame> frames =
        [
            .. pulses
                .Where(p => p.Length is >= PulseLimits.Shortest and <= PulseLimits.Longest)
                .Select(p => new FoundFrame(p.At, FrameKind.Channels, [(int)Math.Round(p.Length)])),
        ];
        return new CaptureVerdict
        {
            Format = WireFormat.SeparatePulses,
            Title = "Separate pulses: one channel on a wire of its own",
            IdlesHigh = !high,
            IsFlipped = !high,
            Frames = frames,
            DamagedFrames = pulses.Count - frames.Count,
            Interval = Tracks.Interval(frames),
            Channels = Tracks.Of(SeparatePulsesFormat.Instance.Descriptor, frames, end),
            Notes =
            [
                "The wire carries one channel. A board that wants all channels on one wire needs another output of the receiver.",
                .. high ? [] : new[] { "The pulses are low: an inverter sits in between." },
            ],
        };
    }

    private static double Middle(IEnumerable<double> values)
    {
        double[] sorted = [.. values.Order()];
        return sorted[sorted.Length / 2];
    }
}
