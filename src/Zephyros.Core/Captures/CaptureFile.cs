namespace Zephyros.Core.Captures;

/// <summary>Reads a file that somebody dropped: a value change dump, a list of levels, or bare bytes.</summary>
public static class CaptureFile
{
    private const int Sample = 1024;

    // A file may have many wires; so many of those that move most are looked at.
    private const int MostLines = 8;

    /// <summary>Reads and recognises a file.</summary>
    /// <param name="stream">The file; it can be read again from its start.</param>
    /// <param name="cancel">Ends the work early.</param>
    /// <exception cref="OperationCanceledException">The work was ended early.</exception>
    public static CaptureFileReading Read(Stream stream, CancellationToken cancel)
    {
        if (stream.Length > CaptureLimits.Bytes)
            return CaptureFileReading.Failed(TextLines.TooLarge);
        Span<byte> head = stackalloc byte[Sample];
        head = head[..stream.ReadAtLeast(head, Sample, throwOnEndOfStream: false)];
        stream.Position = 0;
        if (head.IsEmpty)
            return CaptureFileReading.Failed(new CaptureProblem(0, "The file is empty."));
        if (!IsText(head))
            return new CaptureFileReading([new CapturedLine(null, Recogniser.Recognise(Bytes(stream)))], [], null);
        var reading = IsDump(head) ? VcdReader.Read(stream, cancel) : LevelTableReader.Read(stream, cancel);
        if (reading.Problem is { } problem)
            return CaptureFileReading.Failed(problem);
        // What was recognised comes first; among those, and among the rest, what moves most.
        var lines = reading.Lines.Take(MostLines).Select(l => new CapturedLine(l, Recogniser.Recognise(l, cancel)));
        return new CaptureFileReading(
            [.. lines.OrderBy(l => l.Verdict.Format is null)],
            [.. reading.Lines.Skip(MostLines).Select(l => l.Name)],
            null
        );
    }

    // One byte more than is read, so that it can be said that there is more.
    private static byte[] Bytes(Stream stream)
    {
        var bytes = new byte[Math.Min(stream.Length, CaptureLimits.DumpBytes + 1)];
        stream.ReadExactly(bytes);
        return bytes;
    }

    // A dump is made of keywords. A logic analyser may write a line of its own before the first one.
    private static bool IsDump(ReadOnlySpan<byte> head) =>
        head.TrimStart(" \t\r\n"u8)[0] == '$' || head.IndexOf("\n$"u8) >= 0;

    // Text has no control characters besides white space, or begins with the mark of a wide encoding; a signal's bytes hardly ever look
    // so for long.
    private static bool IsText(ReadOnlySpan<byte> head)
    {
        if (head.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xFE]) || head.StartsWith((ReadOnlySpan<byte>)[0xFE, 0xFF]))
            return true;
        foreach (var value in head)
            if (value is < 0x20 and not ((byte)'\t' or (byte)'\n' or (byte)'\r') or 0x7F)
                return false;
        return !head.TrimStart(" \t\r\n"u8).IsEmpty;
    }
}
