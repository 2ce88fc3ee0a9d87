using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>One frame of a recording, ready to be drawn: the level over time with bytes and their meaning.</summary>
/// <param name="Number">The frame, counted from 1.</param>
/// <param name="Start">When it begins in the recording.</param>
/// <param name="Length">How long the drawn piece is, with a margin on both sides.</param>
/// <param name="StartsHigh">The level at its beginning.</param>
/// <param name="Changes">When the level changes, from the beginning of the drawn piece.</param>
/// <param name="BitTime">The time of a bit; 0 where there are none.</param>
/// <param name="Bytes">The bytes; empty for a format made of pulses.</param>
public sealed record FrameDrawing(
    int Number,
    Milliseconds Start,
    Microseconds Length,
    bool StartsHigh,
    IReadOnlyList<Microseconds> Changes,
    Microseconds BitTime,
    IReadOnlyList<DrawnByte> Bytes
)
{
    // What is drawn before and after a frame, in nanoseconds.
    private const long Margin = 60_000;

    // The longest piece that is drawn: a whole pulse train.
    private const long Longest = 40_000_000;

    /// <summary>Draws a frame.</summary>
    /// <param name="capture">The recording.</param>
    /// <param name="verdict">What it was recognised as.</param>
    /// <param name="number">The frame, counted from 1.</param>
    /// <returns>The drawing, or null when there is no such frame.</returns>
    public static FrameDrawing? Of(LineCapture capture, CaptureVerdict verdict, int number)
    {
        if (number < 1 || number > verdict.Frames.Count)
            return null;
        var frame = verdict.Frames[number - 1];
        var from = Math.Max(0, frame.At - Margin);
        var to = Math.Min(Math.Min(End(verdict, frame) + Margin, frame.At + Longest), capture.End);
        var first = First(capture, from);
        var changes = new List<Microseconds>();
        for (var i = first; i < capture.Changes.Length && capture.Changes[i] <= to; i++)
            changes.Add(new Microseconds((capture.Changes[i] - from) / 1000.0));
        return new FrameDrawing(
            number,
            new Milliseconds(frame.At / 1e6),
            new Microseconds((to - from) / 1000.0),
            capture.LevelBefore(first),
            changes,
            new Microseconds(verdict.Baud is { } baud ? 1e6 / baud : 0),
            [.. Drawn(verdict, frame, from)]
        );
    }

    private static IEnumerable<DrawnByte> Drawn(CaptureVerdict verdict, FoundFrame frame, long from)
    {
        if (verdict is not { Format: { } format, Framing: { } framing } || format.Codec() is not SerialCodec codec)
            return [];
        var values = Enumerable.Range(frame.FirstByte, frame.Length).Select(i => verdict.Bytes[i].Value).ToArray();
        return values.Select(
            (value, i) =>
                new DrawnByte(
                    new Microseconds((verdict.Bytes[frame.FirstByte + i].At - from) / 1000.0),
                    new Microseconds(framing.BitsPerByte * framing.BitMicroseconds),
                    value,
                    codec.NameOf(values, i)
                )
        );
    }

    private static long End(CaptureVerdict verdict, FoundFrame frame)
    {
        if (verdict.Framing is { } framing && frame.Length > 0)
            return verdict.Bytes[frame.FirstByte + frame.Length - 1].At
                + (long)(framing.BitsPerByte * framing.BitMicroseconds * 1000);
        var wire = verdict.Format!.Value.Describe();
        return frame.At + (long)frame.Counts.Sum(c => wire.ToMicroseconds(c).Value * 1000);
    }

    // The first change at or after a time.
    private static int First(LineCapture capture, long time)
    {
        var found = capture.Changes.BinarySearch(time);
        return found < 0 ? ~found : found;
    }
}
