namespace Zephyros.Core.Captures;

/// <summary>The outcome of reading a recording.</summary>
/// <param name="Capture">What was recorded; null when the file is no recording.</param>
/// <param name="Problem">What is wrong with the file; null when it is a recording.</param>
/// <param name="OtherLines">The names of the other wires in the file.</param>
public sealed record CaptureReading(LineCapture? Capture, CaptureProblem? Problem, IReadOnlyList<string> OtherLines)
{
    /// <summary>A file that is no recording.</summary>
    public static CaptureReading Failed(int line, string reason) => new(null, new CaptureProblem(line, reason), []);
}
