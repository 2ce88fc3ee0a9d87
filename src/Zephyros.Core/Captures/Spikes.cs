namespace Zephyros.Core.Captures;

/// <summary>Takes out of a recording what is shorter than anything that a format has, whichever way it goes.</summary>
internal static class Spikes
{
    // In shares of all levels. Bursts of noise in every pause of a slow line are not more.
    private const double Most = 0.7;

    /// <summary>True when so much is shorter than that that the line must be something else.</summary>
    /// <param name="capture">The recording.</param>
    /// <param name="shortest">The shortest level that is none, in nanoseconds.</param>
    public static bool Prevail(LineCapture capture, double shortest) =>
        Shorter(capture, shortest) > Most * capture.Changes.Length;

    private static int Shorter(LineCapture capture, double shortest)
    {
        var changes = capture.Changes;
        var count = 0;
        for (var i = 1; i < changes.Length; i++)
            if (changes[i] - changes[i - 1] < shortest)
                count++;
        return count;
    }

    /// <summary>The recording without its spikes, and how many there were.</summary>
    /// <param name="capture">The recording.</param>
    /// <param name="shortest">The shortest level that is none, in nanoseconds.</param>
    public static (LineCapture Clean, int Count) TakeOut(LineCapture capture, double shortest)
    {
        if (Shorter(capture, shortest) == 0)
            return (capture, 0);
        var kept = new long[capture.Changes.Length];
        var (count, spikes) = (0, 0);
        foreach (var change in capture.Changes)
            if (count > 0 && change - kept[count - 1] < shortest)
            {
                count--;
                spikes++;
            }
            else
            {
                kept[count++] = change;
            }

        return (new LineCapture(capture.Name, capture.StartsHigh, kept[..count], capture.End), spikes);
    }

    /// <summary>How many were passed over, in a sentence; none where there were none.</summary>
    /// <param name="count">How many.</param>
    /// <param name="shortest">The shortest level that is none, in nanoseconds.</param>
    public static IEnumerable<string> Words(int count, double shortest) =>
        count == 0
            ? []
            :
            [
                $"{count} {(count == 1 ? "spike" : "spikes")} shorter than {Units.Figures.Plain(shortest / 1000, 1)} µs {(count == 1 ? "was" : "were")} passed over.",
            ];
}
