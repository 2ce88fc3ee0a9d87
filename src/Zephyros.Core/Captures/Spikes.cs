namespace Zephyros.Core.Captures;

/// <summary>Takes out of a recording what is shorter than anything that a format has, whichever way it goes.</summary>
internal static class Spikes
{
    /// <summary>The recording without its spikes, and how many there were.</summary>
    /// <param name="capture">The recording.</param>
    /// <param name="shortest">The shortest level that is none, in nanoseconds.</param>
    public static (LineCapture Clean, int Count) TakeOut(LineCapture capture, double shortest)
    {
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

        return spikes == 0
            ? (capture, 0)
            : (new LineCapture(capture.Name, capture.StartsHigh, kept[..count], capture.End), spikes);
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
