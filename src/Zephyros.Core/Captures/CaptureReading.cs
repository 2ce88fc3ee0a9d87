namespace Zephyros.Core.Captures;

/// <summary>The outcome of reading a file of levels.</summary>
/// <param name="Lines">What was recorded on each wire, the one that changes most first; empty when the file is no recording.</param>
/// <param name="Problem">What is wrong with the file; null when it is a recording.</param>
public sealed record CaptureReading(IReadOnlyList<LineCapture> Lines, CaptureProblem? Problem)
{
    /// <summary>A file that is no recording.</summary>
    public static CaptureReading Failed(int line, string reason) => new([], new CaptureProblem(line, reason));

    /// <summary>A recording.</summary>
    public static CaptureReading Of(IEnumerable<LineCapture> lines) =>
        new([.. lines.OrderByDescending(l => l.Changes.Length)], null);
}
