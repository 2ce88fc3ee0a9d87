using System.Numerics;

namespace Zephyros.Core.Proof.Search;

/// <summary>The states found first at one depth that share memory and situation: the words of positions that hold any.</summary>
/// <param name="Memory">The number of the memory.</param>
/// <param name="Situation">The number of the situation.</param>
/// <param name="Places">The places of the words, ascending.</param>
/// <param name="Words">The words.</param>
internal sealed record StateSet(int Memory, int Situation, int[] Places, ulong[] Words)
{
    /// <summary>How many states these are.</summary>
    public long Count
    {
        get
        {
            var count = 0L;
            foreach (var word in Words)
                count += BitOperations.PopCount(word);
            return count;
        }
    }

    /// <summary>True when a position is among them.</summary>
    public bool Contains(int word, int bit) =>
        Array.BinarySearch(Places, word) is >= 0 and var place && (Words[place] >> bit & 1) != 0;
}
