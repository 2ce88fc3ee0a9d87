using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Sums up what the channels did over the frames of a recording.</summary>
internal static class Tracks
{
    /// <summary>What each channel did.</summary>
    public static IReadOnlyList<ChannelTrack> Of(WireDescriptor wire, List<FoundFrame> frames)
    {
        // The first frames of a format that sends its channels in parts do not know them all.
        FoundFrame[] known = [.. frames.Where(f => f.Kind != FrameKind.Other).Skip(wire.FramesForAll - 1)];
        if (known.Length == 0)
            return [];
        var stride = Math.Max(1, (known.Length + CaptureVerdict.MostPoints - 1) / CaptureVerdict.MostPoints);
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
                        [.. known.Where((_, i) => i % stride == 0).Select(f => wire.ToMicroseconds(f.Counts[channel]))]
                    );
                }),
        ];
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
