using Zephyros.Core.Captures;

namespace Zephyros.Web.Captures;

/// <summary>Keeps the last recordings in memory, so that their frames can be looked at. Safe for use by several threads.</summary>
internal sealed class CaptureShelf
{
    // A recording of 50 MB takes about as much again.
    private const int MostKept = 3;

    private readonly Lock gate = new();
    private readonly LinkedList<(string Id, LineCapture? Capture, CaptureVerdict Verdict)> kept = new();

    /// <summary>Puts a recording on the shelf; the oldest gives way.</summary>
    /// <returns>Its id.</returns>
    public string Keep(LineCapture? capture, CaptureVerdict verdict)
    {
        var id = Guid.NewGuid().ToString("N");
        lock (gate)
        {
            kept.AddFirst((id, capture, verdict));
            if (kept.Count > MostKept)
                kept.RemoveLast();
        }

        return id;
    }

    /// <summary>What a recording was recognised as; null when it is no longer there.</summary>
    public CaptureVerdict? Find(string id)
    {
        lock (gate)
            return kept.FirstOrDefault(k => k.Id == id).Verdict;
    }

    /// <summary>A frame of a recording; null when it is no longer there, or has no such frame or no levels.</summary>
    public FrameDrawing? Draw(string id, int frame)
    {
        lock (gate)
        {
            var found = kept.FirstOrDefault(k => k.Id == id);
            return found.Capture is { } capture ? FrameDrawing.Of(capture, found.Verdict, frame) : null;
        }
    }
}
