using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof.Search;

/// <summary>A set of positions of all inputs, a bit each, in the words of an <see cref="InputGrid"/>. What holds almost nothing takes
/// almost nothing.</summary>
/// <param name="words">How many words there are.</param>
/// <param name="meter">Is told what it takes.</param>
internal sealed class PositionSet(int words, ByteMeter meter)
{
    private readonly Pages<ulong> pages = new(words, meter);

    /// <summary>The positions of a word.</summary>
    public ulong this[int word] => pages.Peek(word);

    /// <summary>Adds positions of a word.</summary>
    /// <returns>Those that were not in it.</returns>
    public ulong Add(int word, ulong bits)
    {
        ref var known = ref pages.At(word);
        var added = bits & ~known;
        known |= added;
        return added;
    }

    /// <summary>The first word from here on, this one too, that holds a position; -1 when there is none.</summary>
    public int Next(int word)
    {
        for (word = pages.Made(word); word < words; word = pages.Made(word + 1))
            if (pages.Peek(word) != 0)
                return word;
        return -1;
    }

    /// <summary>The words that hold a position, ascending, with their positions.</summary>
    public IEnumerable<(int Word, ulong Bits)> Words()
    {
        for (var word = Next(0); word >= 0; word = Next(word + 1))
            yield return (word, this[word]);
    }
}
