namespace Zephyros.Core.Captures;

/// <summary>Collects the levels of one wire, as a reader comes upon them.</summary>
internal sealed class LineBuilder(string name)
{
    // In pieces: a list that grows would hold everything twice while it does.
    private const int Piece = 1 << 14;

    private readonly List<long[]> pieces = [];
    private int count;
    private bool? level;
    private bool first;

    /// <summary>Takes the level at a time; the same level again changes nothing.</summary>
    /// <returns>True when it is another level than before.</returns>
    public bool Put(long at, bool high)
    {
        if (level is null)
            (level, first) = (high, high);
        if (level == high)
            return false;
        if (count % Piece == 0)
            pieces.Add(new long[Piece]);
        pieces[^1][count++ % Piece] = at;
        level = high;
        return true;
    }

    /// <summary>The recording, from its own start. What was collected is given away with it.</summary>
    public LineCapture Build(long start, long end)
    {
        var times = new long[count];
        for (var i = 0; i < count; i++)
            times[i] = pieces[i / Piece][i % Piece] - start;
        pieces.Clear();
        return new LineCapture(name, first, times, end - start);
    }
}
