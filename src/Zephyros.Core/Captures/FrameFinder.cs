using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Finds the frames of a serial format among the bytes of a recording.</summary>
internal static class FrameFinder
{
    // A pause of more than this many bytes parts two frames.
    private const double GapBytes = 1.5;

    /// <summary>The frames of a format, and how many were damaged.</summary>
    /// <param name="codec">The format.</param>
    /// <param name="bytes">The bytes.</param>
    /// <param name="byteTime">The time of one byte, in nanoseconds; 0 when there are no times.</param>
    public static (List<FoundFrame> Frames, long Damaged) Find(
        SerialCodec codec,
        IReadOnlyList<SerialByte> bytes,
        double byteTime
    )
    {
        var search = codec.CreateSearch();
        var counts = new int[codec.Descriptor.Channels];
        Array.Fill(counts, codec.Descriptor.ToCount(Units.Microseconds.Neutral, CountRounding.Nearest));
        var frames = new List<FoundFrame>();
        var damage = new DamageCount((long)(byteTime * codec.Descriptor.FrameBytes));
        Span<byte> one = stackalloc byte[1];
        for (var i = 0; i < bytes.Count; i++)
        {
            if (byteTime > 0 && i > 0 && bytes[i].At - bytes[i - 1].At > (1 + GapBytes) * byteTime)
                search.Gap();
            if (!bytes[i].Good)
                search.Break();
            damage.Look(search, bytes[i].At);
            if (!bytes[i].Good)
                continue;

            one[0] = bytes[i].Value;
            ReadOnlySpan<byte> rest = one;
            while (search.TryFind(ref rest, out var frame))
            {
                var first = Math.Max(0, i + 1 - search.Held - frame.Length);
                var kind = codec.Read(frame, counts);
                if (IsPlausible(codec.Descriptor, kind, counts))
                    frames.Add(new FoundFrame(bytes[first].At, kind, [.. counts], first, frame.Length));
            }

            damage.Look(search, bytes[i].At);
        }

        return (frames, damage.Frames);
    }

    // One disturbance may be noticed at several bytes; within the time of a frame it is one damaged frame.
    private sealed class DamageCount(long frameTime)
    {
        private long noticed;
        private long last = long.MinValue / 2;

        public long Frames { get; private set; }

        public void Look(FrameSearch search, long now)
        {
            if (search.DamagedFrames > noticed && now - last > frameTime)
            {
                Frames++;
                last = now;
            }

            noticed = search.DamagedFrames;
        }
    }

    // What decodes to pulses that no transmitter sends is no frame: formats without a checksum need the hint.
    private static bool IsPlausible(WireDescriptor wire, FrameKind kind, int[] counts) =>
        kind == FrameKind.Other || Array.TrueForAll(counts, c => wire.ToMicroseconds(c).Value is > 750 and < 2250);
}
