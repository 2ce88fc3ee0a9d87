using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Sums up what the channels did over the frames of a recording.</summary>
internal static class Tracks
{
    // In microseconds; wider than any travel.
    private const double ShortestPulse = 750;
    private const double LongestPulse = 2250;

    /// <summary>True for a value that a servo pulse may have.</summary>
    public static bool IsPulse(Microseconds value) => value.Value is > ShortestPulse and < LongestPulse;

    /// <summary>What each channel did.</summary>
    /// <param name="wire">The format.</param>
    /// <param name="frames">Its frames.</param>
    /// <param name="end">When the recording ends, in nanoseconds; for a dump of bytes, how many there are.</param>
    public static IReadOnlyList<ChannelTrack> Of(WireDescriptor wire, List<FoundFrame> frames, long end)
    {
        // The first frames of a format that sends its channels in parts do not know them all.
        FoundFrame[] known = [.. frames.Where(f => f.Kind != FrameKind.Other).Skip(wire.FramesForAll - 1)];
        if (known.Length == 0)
            return [];
        FoundFrame[] picked = [.. Picked(known, end)];
        return
        [
            .. Enumerable
                .Range(0, known[0].Counts.Count)
                .Select(channel =>
                {
                    var counts = known.Select(f => f.Counts[channel]);
                    var rest = counts.CountBy(c => c).MaxBy(c => c.Value).Key;
                    return new ChannelTrack(
                        new ChannelNumber(channel + 1),
                        wire.ToMicroseconds(counts.Min()),
                        wire.ToMicroseconds(rest),
                        wire.ToMicroseconds(counts.Max()),
                        [.. picked.Select(f => wire.ToMicroseconds(f.Counts[channel]))]
                    );
                }),
        ];
    }

    // The frame that was last at each of so many moments, evenly over the whole recording; before the first one, the first.
    private static IEnumerable<FoundFrame> Picked(FoundFrame[] frames, long end)
    {
        var points = Math.Clamp(frames.Length, 2, CaptureVerdict.MostPoints);
        var at = 0;
        for (var i = 0; i < points; i++)
        {
            var moment = end * ((double)i / (points - 1));
            while (at + 1 < frames.Length && frames[at + 1].At <= moment)
                at++;
            yield return frames[at];
        }
    }

    /// <summary>The usual time from frame to frame: the middle one of all.</summary>
    public static Milliseconds? Interval(List<FoundFrame> frames)
    {
        var starts = frames.Where(f => f.Kind != FrameKind.Other).Select(f => f.At).ToArray();
        if (starts.Length < 2)
            return null;
        long[] apart = [.. starts.Zip(starts.Skip(1), (a, b) => b - a).Order()];
        return new Milliseconds(apart[apart.Length / 2] / 1e6);
    }
}
