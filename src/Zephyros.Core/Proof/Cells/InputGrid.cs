using Zephyros.Core.Proof.Search;

namespace Zephyros.Core.Proof.Cells;

/// <summary>How the positions of all inputs are numbered: the first inputs share the 64 bits of a word, the others choose the word.</summary>
internal sealed class InputGrid
{
    private const int BitsOfWord = 64;

    private readonly int[] counts;
    private readonly int[] strides;
    private readonly bool[][] open;
    private readonly ulong[][] masks;

    /// <summary>Numbers the positions of some inputs.</summary>
    public InputGrid(IReadOnlyList<ProofInput> inputs)
    {
        counts = [.. inputs.Select(i => i.Cells.Count)];
        open = [.. inputs.Select(i => i.Cells.Select(c => c.Open).ToArray())];
        strides = new int[counts.Length];
        var size = 1L;
        while (Inside < counts.Length && size * counts[Inside] <= BitsOfWord)
        {
            strides[Inside] = (int)size;
            size *= counts[Inside++];
        }

        Used = size == BitsOfWord ? ulong.MaxValue : (1UL << (int)size) - 1;
        masks = [.. Enumerable.Range(0, Inside).Select(MasksOf)];
        var words = 1L;
        for (var i = Inside; i < counts.Length; i++)
        {
            strides[i] = (int)words;
            words = Math.Min(words * counts[i], int.MaxValue);
        }

        Words = (int)words;
        Positions = (double)size * counts.Skip(Inside).Aggregate(1.0, (product, n) => product * n);
    }

    /// <summary>How many inputs there are.</summary>
    public int Count => counts.Length;

    /// <summary>How many inputs share a word.</summary>
    public int Inside { get; }

    /// <summary>The bits of a word that stand for something.</summary>
    public ulong Used { get; }

    /// <summary>How many words there are.</summary>
    public int Words { get; }

    /// <summary>How many combinations of positions there are.</summary>
    public double Positions { get; }

    /// <summary>How many cells an input has.</summary>
    public int CellsOf(int input) => counts[input];

    /// <summary>True when an input can be moved from a cell to a cell: to another one, or within one in which something is left open.</summary>
    public bool Moves(int input, int from, int to) => from != to || open[input][to];

    /// <summary>In which cell an input stands.</summary>
    public int Cell(int input, int word, int bit) => (input < Inside ? bit : word) / strides[input] % counts[input];

    /// <summary>The position after an input went to another cell.</summary>
    public (int Word, int Bit) With(int input, int cell, int word, int bit)
    {
        var by = (cell - Cell(input, word, bit)) * strides[input];
        return input < Inside ? (word, bit + by) : (word + by, bit);
    }

    /// <summary>The positions of a word after an input went to a cell in all of them.</summary>
    public (int Word, ulong Bits) WithAll(int input, int cell, int word, ulong bits)
    {
        if (input >= Inside)
            return (With(input, cell, word, 0).Word, bits);
        var put = 0UL;
        for (var other = 0; other < counts[input]; other++)
        {
            var by = (cell - other) * strides[input];
            var here = bits & masks[input][other];
            put |= by > 0 ? here << by : here >> -by;
        }

        return (word, put);
    }

    /// <summary>Adds to a set of positions all those that come of moving one input to a cell.</summary>
    /// <param name="from">The positions before.</param>
    /// <param name="input">The input.</param>
    /// <param name="cell">The cell that it goes to.</param>
    /// <param name="to">Takes the positions after.</param>
    public void AddMoved(PassingSet from, int input, int cell, PassingSet to)
    {
        foreach (var word in from.Places)
            if (input < Inside)
                to.Add(word, MovedInside(from[word], input, cell));
            else if (word / strides[input] % counts[input] is var other && Moves(input, other, cell))
                to.Add(word + ((cell - other) * strides[input]), from[word]);
    }

    private ulong MovedInside(ulong bits, int input, int cell)
    {
        var moved = 0UL;
        for (var other = 0; other < counts[input]; other++)
        {
            if (!Moves(input, other, cell))
                continue;
            var by = (cell - other) * strides[input];
            var here = bits & masks[input][other];
            moved |= by > 0 ? here << by : here >> -by;
        }

        return moved;
    }

    // For each cell of an input, the bits of a word in which it stands there.
    private ulong[] MasksOf(int input)
    {
        var made = new ulong[counts[input]];
        for (var bit = 0; bit < BitsOfWord; bit++)
            if ((Used >> bit & 1) != 0)
                made[bit / strides[input] % counts[input]] |= 1UL << bit;
        return made;
    }
}
