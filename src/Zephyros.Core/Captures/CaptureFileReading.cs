namespace Zephyros.Core.Captures;

/// <summary>What was found in a file that somebody dropped.</summary>
/// <param name="Lines">Its wires, the most telling first; empty when it is no recording.</param>
/// <param name="NotLookedAt">The names of further wires.</param>
/// <param name="Problem">What is wrong with the file; null when it is a recording.</param>
public sealed record CaptureFileReading(
    IReadOnlyList<CapturedLine> Lines,
    IReadOnlyList<string> NotLookedAt,
    CaptureProblem? Problem
)
{
    /// <summary>A file that is no recording.</summary>
    public static CaptureFileReading Failed(CaptureProblem problem) => new([], [], problem);
}
