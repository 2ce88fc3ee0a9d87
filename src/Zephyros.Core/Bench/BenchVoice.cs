namespace Zephyros.Core.Bench;

/// <summary>What the transmitter says aloud and what the bench notes, each with a number of its own.</summary>
internal sealed class BenchVoice
{
    /// <summary>How much was said and noted so far.</summary>
    public long Count { get; private set; }

    /// <summary>What the transmitter said last.</summary>
    public Caption? Said { get; private set; }

    /// <summary>What was noted last.</summary>
    public Caption? Noted { get; private set; }

    /// <summary>Says something aloud.</summary>
    public void Speak(IEnumerable<string> texts)
    {
        foreach (var text in texts)
            Said = new Caption(++Count, text);
    }

    /// <summary>Notes something.</summary>
    public void Note(string text) => Noted = new Caption(++Count, text);
}
