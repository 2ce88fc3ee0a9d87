namespace Zephyros.Core.Captures;

/// <summary>What a logic analyser saw on one wire: the level at the start, and when it changed.</summary>
public sealed class LineCapture
{
    private readonly long[] changes;

    /// <summary>Takes a recording.</summary>
    /// <param name="name">The name of the wire in the recording.</param>
    /// <param name="startsHigh">The level before the first change.</param>
    /// <param name="changes">When the level changed, in nanoseconds, in rising order.</param>
    /// <param name="end">When the recording ends, in nanoseconds; not before the last change.</param>
    public LineCapture(string name, bool startsHigh, long[] changes, long end) =>
        (Name, StartsHigh, this.changes, End) = (name, startsHigh, changes, end);

    /// <summary>The name of the wire in the recording.</summary>
    public string Name { get; }

    /// <summary>The level before the first change.</summary>
    public bool StartsHigh { get; }

    /// <summary>When the level changed, in nanoseconds.</summary>
    public ReadOnlySpan<long> Changes => changes;

    /// <summary>When the recording ends, in nanoseconds.</summary>
    public long End { get; }

    /// <summary>Its beginning, up to so many changes.</summary>
    public LineCapture Beginning(int count) =>
        count >= changes.Length ? this : new LineCapture(Name, StartsHigh, changes[..count], changes[count]);

    /// <summary>The level before a change; before the one after the last, the level at the end.</summary>
    /// <param name="change">0 for the first change.</param>
    public bool LevelBefore(int change) => StartsHigh ^ (change % 2 != 0);
}
