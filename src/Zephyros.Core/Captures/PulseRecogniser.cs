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
    private const double ShortestPause = 2500;

    // Into more pieces than this a disturbance does not cut a pulse.
    private const int MostPieces = 3;

    // What is shorter is a disturbance.
    private const double ShortestPulse = 50;

    /// <summary>The verdict, or null when the line carries no such pulses.</summary>
    public static CaptureVerdict? Recognise(LineCapture capture)
    {
        foreach (var high in new[] { true, false })
        {
            var pulses = Pulses(capture, high);
            if (pulses.Count < 3)
                continue;
            if (Share(pulses, p => p.Length is >= ShortestMark and <= LongestMark) >= Enough)
                return Train(pulses, high);
            if (
                Share(pulses, p => p.Length is >= 750 and <= 2250) >= Enough
                && Share(pulses, p => p.Pause > ShortestPause) >= Enough
            )
                return Single(pulses, high);
        }

        return null;
    }

    private static double Share(List<Pulse> pulses, Func<Pulse, bool> fits) =>
        (double)pulses.Count(fits) / pulses.Count;

    // A stretch of one level and the pause before the next, times in nanoseconds and microseconds.
    private readonly record struct Pulse(long At, double Length, double Pause);

    // A disturbance is passed over, whichever way it goes.
    private static List<Pulse> Pulses(LineCapture capture, bool high)
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
            if (joined.Count > 0 && from - joined[^1].To < ShortestPulse * 1000)
                joined[^1] = (joined[^1].From, to, joined[^1].Pieces + 1);
            else
                joined.Add((from, to, 1));
        joined.RemoveAll(p => p.To - p.From < ShortestPulse * 1000);
        // Bits that stand together are no pulse.
        if (joined.Count(p => p.Pieces > MostPieces) * 2 > joined.Count)
            return [];
        return
        [
            .. joined.Select(
                (p, i) =>
                    new Pulse(
                        p.From,
                        (p.To - p.From) / 1000.0,
                        ((i + 1 < joined.Count ? joined[i + 1].From : capture.End) - p.To) / 1000.0
                    )
            ),
        ];
    }

    private static CaptureVerdict? Train(List<Pulse> marks, bool high)
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
            Channels = Tracks.Of(PulseTrainFormat.Instance.Descriptor, frames),
            Notes =
            [
                $"Marks of {Figures.Plain(Middle(marks.Select(m => m.Length)), 0)} µs, {(high ? "high" : "low")}.",
                .. high ? [] : new[] { "Most receivers send high marks; some boards take either." },
                .. damaged > 0 ? new[] { $"{damaged} frames were damaged." } : [],
            ],
        };
    }

    private static CaptureVerdict Single(List<Pulse> pulses, bool high)
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
            Channels = Tracks.Of(SeparatePulsesFormat.Instance.Descriptor, frames),
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
