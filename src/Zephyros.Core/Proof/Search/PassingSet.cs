using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof.Search;

/// <summary>A set of positions of all inputs, a bit each, that is filled and emptied over and over.</summary>
/// <param name="words">How many words there are.</param>
/// <param name="meter">Is told what it takes.</param>
internal sealed class PassingSet(int words, ByteMeter meter)
{
    private readonly ulong[] positions = Counted(words, meter);
    private int[] places = new int[16];
    private int count;

    /// <summary>The words that hold a position, in the order in which they came.</summary>
    public ReadOnlySpan<int> Places => places.AsSpan(0, count);

    /// <summary>The positions of a word.</summary>
    public ulong this[int word] => positions[word];

    /// <summary>Adds positions of a word.</summary>
    public void Add(int word, ulong bits)
    {
        if (bits == 0)
            return;
        ref var known = ref positions[word];
        if (known == 0)
        {
            if (count == places.Length)
                Array.Resize(ref places, Math.Min(2 * count, words));
            places[count++] = word;
        }

        known |= bits;
    }

    /// <summary>Takes everything out.</summary>
    public void Clear()
    {
        foreach (var word in Places)
            positions[word] = 0;
        count = 0;
    }

    private static ulong[] Counted(int words, ByteMeter meter)
    {
        meter.Bytes += 12L * words;
        return new ulong[words];
    }
}
