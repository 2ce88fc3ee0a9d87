using System.Numerics;
using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Proof.Search;

/// <summary>The states that were found: the positions, by situation and memory, and which of them are new. Not safe for use by several
/// threads.</summary>
/// <param name="words">How many words of positions there are.</param>
/// <param name="meter">Is told what it takes.</param>
internal sealed class FoundStates(int words, ByteMeter meter)
{
    // A growing list takes up to twice what it holds.
    private const int BytesOfNew = 32;

    private readonly List<List<Place?>> places = [];
    private readonly List<Place> fresh = [];

    /// <summary>How many states were found.</summary>
    public long Count { get; private set; }

    /// <summary>True when none is new.</summary>
    public bool NothingNew => fresh.Count == 0;

    /// <summary>Adds states that share a word.</summary>
    public void Add(Place place, int word, ulong bits)
    {
        var added = place.Known.Add(word, bits);
        if (added == 0)
            return;
        Count += BitOperations.PopCount(added);
        if (place.Learn(word, added))
            fresh.Add(place);
        PassingBytes += BytesOfNew;
    }

    /// <summary>True when a state was found.</summary>
    public bool Has(ProofState state) =>
        places.ElementAtOrDefault(state.Situation)?.ElementAtOrDefault(state.Memory) is { } place
        && (place.Known[state.Word] >> state.Bit & 1) != 0;

    /// <summary>The states that are new since this was last asked, by situation and memory.</summary>
    public List<StateSet> TakeNew()
    {
        var level = new List<StateSet>(fresh.Count);
        foreach (var place in fresh.OrderBy(p => (p.Situation, p.Memory)))
        {
            var set = place.TakeNew();
            meter.Bytes += 12L * set.Places.Length;
            level.Add(set);
        }

        fresh.Clear();
        PassingBytes = 0;
        return level;
    }

    /// <summary>What the new ones take until they are taken, in bytes.</summary>
    public long PassingBytes { get; private set; }

    /// <summary>The positions that were found, by situation and memory.</summary>
    public IEnumerable<(int Memory, int Situation, PositionSet Positions)> All =>
        places.SelectMany(p => p).OfType<Place>().Select(p => (p.Memory, p.Situation, p.Known));

    /// <summary>Where states with a memory and a situation are kept.</summary>
    public Place At(int memory, int situation)
    {
        while (places.Count <= situation)
            places.Add([]);
        var row = places[situation];
        while (row.Count <= memory)
            row.Add(null);
        return row[memory] ??= new Place(memory, situation, new PositionSet(words, meter));
    }

    /// <summary>The positions that were found with one memory in one situation.</summary>
    public sealed class Place(int memory, int situation, PositionSet known)
    {
        // As they came: a word may be there several times.
        private List<(int Word, ulong Bits)> fresh = [];

        /// <summary>The number of the memory.</summary>
        public int Memory => memory;

        /// <summary>The number of the situation.</summary>
        public int Situation => situation;

        /// <summary>All of them.</summary>
        public PositionSet Known => known;

        /// <summary>Notes positions as new.</summary>
        /// <returns>True when they are the first.</returns>
        public bool Learn(int word, ulong bits)
        {
            fresh.Add((word, bits));
            return fresh.Count == 1;
        }

        /// <summary>Those that are new, in order; afterwards none is.</summary>
        public StateSet TakeNew()
        {
            fresh.Sort((one, other) => one.Word.CompareTo(other.Word));
            var (words, bits) = (new List<int>(fresh.Count), new List<ulong>(fresh.Count));
            foreach (var (word, added) in fresh)
                if (words.Count > 0 && words[^1] == word)
                {
                    bits[^1] |= added;
                }
                else
                {
                    words.Add(word);
                    bits.Add(added);
                }

            // Let go: most places have few new positions, and few of them often.
            fresh = [];
            return new StateSet(memory, situation, [.. words], [.. bits]);
        }
    }
}
