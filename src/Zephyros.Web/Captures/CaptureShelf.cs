using Zephyros.Core.Captures;

namespace Zephyros.Web.Captures;

/// <summary>Keeps the last recordings in memory, so that their wires and frames can be looked at. Safe for use by several threads.</summary>
internal sealed class CaptureShelf
{
    private const int MostKept = 3;

    // In bytes; the newest stays whatever it takes, which the limits of a recording bound.
    private const long MostWeight = 64L << 20;

    private readonly Lock gate = new();
    private readonly LinkedList<(string Id, long Weight, IReadOnlyList<CapturedLine> Lines)> kept = new();

    /// <summary>Puts the wires of a recording on the shelf; older recordings give way.</summary>
    /// <returns>An id for each wire.</returns>
    public IReadOnlyList<string> Keep(IReadOnlyList<CapturedLine> lines)
    {
        var id = Guid.NewGuid().ToString("N");
        lock (gate)
        {
            kept.AddFirst((id, lines.Sum(l => l.Weight), lines));
            while (kept.Count > 1 && (kept.Count > MostKept || kept.Sum(k => k.Weight) > MostWeight))
                kept.RemoveLast();
        }

        return [.. lines.Select((_, i) => Name(id, i))];
    }

    /// <summary>All wires of the recording to which a wire belongs, with their ids; none when it is no longer there.</summary>
    public IReadOnlyList<(string Id, CapturedLine Line)> Beside(string id)
    {
        lock (gate)
            return kept.Select(k => k.Lines.Select((l, i) => (Id: Name(k.Id, i), Line: l)).ToArray())
                    .FirstOrDefault(lines => lines.Any(l => l.Id == id))
                ?? [];
    }

    /// <summary>A wire of a recording; null when it is no longer there.</summary>
    public CapturedLine? Find(string id) => Beside(id).FirstOrDefault(l => l.Id == id).Line;

    private static string Name(string id, int line) => $"{id}-{line}";
}
