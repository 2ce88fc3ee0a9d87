namespace Zephyros.Core.Captures;

/// <summary>A wire of a recording and what it was recognised as.</summary>
/// <param name="Capture">Its levels; null for bare bytes.</param>
/// <param name="Verdict">What it was recognised as.</param>
public sealed record CapturedLine(LineCapture? Capture, CaptureVerdict Verdict)
{
    /// <summary>About how many bytes of memory it takes.</summary>
    public long Weight =>
        ((Capture?.Changes.Length ?? 0) * 8L)
        + (Verdict.Bytes.Count * 16L)
        + Verdict.Frames.Sum(f => 100L + (4 * f.Counts.Count));
}
