using Zephyros.Core.Board;

namespace Zephyros.Core.Proof.Cells;

/// <summary>What comparisons of one channel make of every value that it may have: stretches of values with the bits that they set.</summary>
internal sealed class ReadPatterns
{
    private readonly double[] starts;
    private readonly ulong[] bits;
    private readonly ulong[]?[,] within;

    /// <summary>Cuts all values into stretches.</summary>
    public ReadPatterns(IReadOnlyCollection<BoardAtom> atoms)
    {
        Mask = atoms.Aggregate(0UL, (all, a) => all | a.Bit);
        starts =
        [
            .. atoms
                .SelectMany(a => new[] { a.From, Math.BitIncrement(a.UpTo) })
                .Where(e => !double.IsPositiveInfinity(e))
                .Append(double.NegativeInfinity)
                .Distinct()
                .Order(),
        ];
        bits = [.. starts.Select(start => atoms.Where(a => a.Holds(start)).Aggregate(0UL, (all, a) => all | a.Bit))];
        within = new ulong[]?[bits.Length, bits.Length];
    }

    /// <summary>Every bit that the comparisons may set.</summary>
    public ulong Mask { get; }

    /// <summary>The bits that a value sets.</summary>
    public ulong At(double value) => bits[Place(value)];

    /// <summary>Every set of bits that a value between two others, these too, may set; ascending.</summary>
    public ulong[] Within(double low, double high)
    {
        var (first, last) = (Place(low), Place(high));
        return within[first, last] ??= [.. bits[first..(last + 1)].Distinct().Order()];
    }

    /// <summary>Every set of bits that a value may set which lies no farther than so much from one that sets these.</summary>
    public ulong[] Near(ulong these, double by) =>
        [
            .. Enumerable
                .Range(0, starts.Length)
                .Where(i => bits[i] == these)
                .SelectMany(i =>
                    Within(
                        starts[i] - by,
                        i + 1 < starts.Length ? Math.BitDecrement(starts[i + 1]) + by : double.PositiveInfinity
                    )
                )
                .Distinct()
                .Order(),
        ];

    private int Place(double value)
    {
        var place = starts.Length - 1;
        while (starts[place] > value)
            place--;
        return place;
    }
}
