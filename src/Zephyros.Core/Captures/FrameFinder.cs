using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Finds the frames of a serial format among the bytes of a recording.</summary>
internal static class FrameFinder
{
    /// <summary>The most frames that are kept.</summary>
    public const int MostFrames = 100_000;

    // A pause of more than this many bytes parts two frames.
    private const double GapBytes = 1.5;

    /// <summary>The frames of a format, and how many were damaged.</summary>
    /// <param name="codec">The format.</param>
    /// <param name="bytes">The bytes.</param>
    /// <param name="byteTime">The time of one byte, in nanoseconds; 0 when there are no times.</param>
    /// <param name="least">The share of the bytes that must be in frames; once that is out of reach, the search ends.</param>
    public static (List<FoundFrame> Frames, long Damaged) Find(
        SerialCodec codec,
        IReadOnlyList<SerialByte> bytes,
        double byteTime,
        double least
    )
    {
        var search = codec.CreateSearch();
        var counts = new int[codec.Descriptor.Channels];
        Array.Fill(counts, codec.Descriptor.ToCount(Units.Microseconds.Neutral, CountRounding.Nearest));
        var frames = new List<FoundFrame>();
        var frameBytes = codec.Descriptor.FrameBytes;
        var damage = new DamageCount((long)(byteTime * frameBytes));
        byte? missed = null;
        Span<byte> one = stackalloc byte[1];
        var inFrames = 0L;
        var spare = ((1 - least) * bytes.Count) + frameBytes;
        for (var i = 0; i < bytes.Count && frames.Count < MostFrames; i++)
        {
            if (i - inFrames > spare)
                break;
            // A recording that begins with a pause begins with a whole frame.
            if (byteTime > 0 && bytes[i].At - (i > 0 ? bytes[i - 1].At : -byteTime) > (1 + GapBytes) * byteTime)
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
                if (!IsPlausible(codec.Descriptor, kind, counts))
                    continue;
                var says = codec.LossSaidBy(frame);
                if (codec.MissedSoFar(frame) is { } now)
                {
                    if (missed is { } before && now != before)
                        says ??= LossKind.FrameLost;
                    missed = now;
                }

                inFrames += frame.Length;
                frames.Add(new FoundFrame(bytes[first].At, kind, [.. counts], first, frame.Length, says));
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
        wire.HasChecksum
        || kind == FrameKind.Other
        || Array.TrueForAll(counts, c => Tracks.IsPulse(wire.ToMicroseconds(c)));
}
