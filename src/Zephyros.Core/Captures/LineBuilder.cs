using System.Runtime.InteropServices;

namespace Zephyros.Core.Captures;

/// <summary>Collects the levels of one wire, as a reader comes upon them.</summary>
internal sealed class LineBuilder(string name)
{
    private readonly List<long> changes = [];
    private bool? level;
    private bool first;

    /// <summary>Takes the level at a time; the same level again changes nothing.</summary>
    public void Put(long at, bool high)
    {
        if (level is null)
            (level, first) = (high, high);
        else if (level != high)
        {
            changes.Add(at);
            level = high;
        }
    }

    /// <summary>The recording, from its own start.</summary>
    public LineCapture Build(long start, long end)
    {
        var times = CollectionsMarshal.AsSpan(changes);
        for (var i = 0; i < times.Length; i++)
            times[i] -= start;
        return new LineCapture(name, first, [.. changes], end - start);
    }
}
