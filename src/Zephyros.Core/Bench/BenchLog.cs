using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>What was said and what happened on the bench, in order. Of more than <see cref="Most"/> entries the oldest go.</summary>
public sealed class BenchLog
{
    /// <summary>How many entries are kept: our own figure, far more than comes between two pictures.</summary>
    public const int Most = 256;

    private readonly Queue<LogEntry> entries = new();

    /// <summary>How many entries there were so far, those that have gone included.</summary>
    public long Count { get; private set; }

    /// <summary>The entries with a higher number, the oldest first.</summary>
    public IReadOnlyList<LogEntry> After(long number) => [.. entries.SkipWhile(e => e.Number <= number)];

    /// <summary>Adds an entry.</summary>
    internal void Add(TimeSpan at, LogKind kind, string text) => Add(Next(at, kind, text));

    /// <summary>Adds what begins to be spoken at one moment, each for itself.</summary>
    internal void Say(TimeSpan at, IEnumerable<Spoken> speaks)
    {
        foreach (var spoken in speaks)
            Add(Next(at, LogKind.Said, spoken.Text) with { CutsIn = spoken.CutsIn, Tone = spoken.Tone });
    }

    private void Add(LogEntry entry)
    {
        if (entries.Count == Most)
            entries.Dequeue();
        entries.Enqueue(entry);
    }

    private LogEntry Next(TimeSpan at, LogKind kind, string text) =>
        new(++Count, new Milliseconds(at.TotalMilliseconds), kind, text);
}
