using System.Runtime.InteropServices;

namespace Zephyros.Core.Proof;

/// <summary>One outcome of running a model, and the positions at which it comes about.</summary>
internal sealed class OutcomePlaces(ModelOutcome outcome)
{
    private readonly List<int> words = [];
    private readonly List<ulong> positions = [];

    /// <summary>The outcome.</summary>
    public ModelOutcome Outcome => outcome;

    /// <summary>The words in which it comes about.</summary>
    public ReadOnlySpan<int> Words => CollectionsMarshal.AsSpan(words);

    /// <summary>The positions in each of these words.</summary>
    public ReadOnlySpan<ulong> Positions => CollectionsMarshal.AsSpan(positions);

    /// <summary>Adds the positions of a word that it has not had.</summary>
    public void Add(int word, ulong bits)
    {
        words.Add(word);
        positions.Add(bits);
    }
}
