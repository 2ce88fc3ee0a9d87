namespace Zephyros.Core.Captures;

/// <summary>Reads a file that somebody dropped: a value change dump, a list of levels, or bare bytes.</summary>
public static class CaptureFile
{
    private const int Sample = 1024;

    /// <summary>Reads and recognises a file.</summary>
    /// <param name="stream">The file; it can be read again from its start.</param>
    /// <returns>The recording (null for bare bytes), what it was recognised as, the names of other wires; or the problem alone.</returns>
    public static (
        LineCapture? Capture,
        CaptureVerdict? Verdict,
        IReadOnlyList<string> OtherLines,
        CaptureProblem? Problem
    ) Read(Stream stream)
    {
        if (stream.Length > CaptureLimits.Bytes)
            return (null, null, [], new CaptureProblem(0, $"A recording may have {CaptureLimits.Bytes >> 20} MB."));
        Span<byte> head = stackalloc byte[Sample];
        head = head[..stream.ReadAtLeast(head, Sample, throwOnEndOfStream: false)];
        stream.Position = 0;
        if (head.IsEmpty)
            return (null, null, [], new CaptureProblem(0, "The file is empty."));
        if (!IsText(head))
        {
            var bytes = new byte[stream.Length];
            stream.ReadExactly(bytes);
            return (null, Recogniser.Recognise(bytes), [], null);
        }

        var reading = IsDump(head) ? VcdReader.Read(stream) : EdgeCsvReader.Read(stream);
        return reading.Capture is { } capture
            ? (capture, Recogniser.Recognise(capture), reading.OtherLines, null)
            : (null, null, [], reading.Problem);
    }

    // A dump is made of keywords. A logic analyser may write a line of its own before the first one.
    private static bool IsDump(ReadOnlySpan<byte> head) =>
        head.TrimStart(" \t\r\n"u8)[0] == '$' || head.IndexOf("\n$"u8) >= 0;

    // Text has no control characters besides white space; a signal's bytes hardly ever look so for long.
    private static bool IsText(ReadOnlySpan<byte> head)
    {
        foreach (var value in head)
            if (value is < 0x20 and not ((byte)'\t' or (byte)'\n' or (byte)'\r') or 0x7F)
                return false;
        return !head.TrimStart(" \t\r\n"u8).IsEmpty;
    }
}
