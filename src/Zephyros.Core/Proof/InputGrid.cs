namespace Zephyros.Core.Proof;

/// <summary>How the positions of all inputs are numbered: the first inputs share the 64 bits of a word, the others choose the word.</summary>
internal sealed class InputGrid
{
    private const int BitsOfWord = 64;

    private readonly int[] counts;
    private readonly int[] strides;
    private readonly bool[][] open;

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
            var here = bits & MaskOf(input, other);
            put |= by > 0 ? here << by : here >> -by;
        }

        return (word, put);
    }

    /// <summary>Adds to a set of positions all those that come of moving one input to a cell.</summary>
    /// <param name="from">The positions before, one bit each.</param>
    /// <param name="input">The input.</param>
    /// <param name="cell">The cell that it goes to.</param>
    /// <param name="to">Takes the positions after.</param>
    public void AddMoved(ReadOnlySpan<ulong> from, int input, int cell, Span<ulong> to)
    {
        if (input < Inside)
            AddInside(from, input, cell, to);
        else
            AddBetween(from, input, cell, to);
    }

    private void AddInside(ReadOnlySpan<ulong> from, int input, int cell, Span<ulong> to)
    {
        for (var other = 0; other < counts[input]; other++)
        {
            if (!Moves(input, other, cell))
                continue;
            var mask = MaskOf(input, other);
            var by = (cell - other) * strides[input];
            for (var word = 0; word < from.Length; word++)
                to[word] |= by > 0 ? (from[word] & mask) << by : (from[word] & mask) >> -by;
        }
    }

    private void AddBetween(ReadOnlySpan<ulong> from, int input, int cell, Span<ulong> to)
    {
        var stride = strides[input];
        var block = stride * counts[input];
        for (var start = 0; start < from.Length; start += block)
        for (var other = 0; other < counts[input]; other++)
            if (Moves(input, other, cell))
                for (var i = 0; i < stride; i++)
                    to[start + (cell * stride) + i] |= from[start + (other * stride) + i];
    }

    // The bits of a word in which an input stands in a cell.
    private ulong MaskOf(int input, int cell)
    {
        var mask = 0UL;
        for (var bit = 0; bit < BitsOfWord; bit++)
            if ((Used >> bit & 1) != 0 && bit / strides[input] % counts[input] == cell)
                mask |= 1UL << bit;
        return mask;
    }
}
