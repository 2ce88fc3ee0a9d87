using Zephyros.Core.Board;
using Zephyros.Core.Proof.Cells;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Stretches of values with the bits that comparisons set, against the comparisons themselves at every quarter of a microsecond.</summary>
public sealed class ReadPatternsTests
{
    private static readonly double[] Values = [.. Enumerable.Range(0, 5000).Select(i => 880 + (i / 4.0))];

    [Fact]
    public void What_values_set_between_and_near_is_what_the_comparisons_set_there()
    {
        var random = new Random(5);
        for (var round = 0; round < 60; round++)
        {
            BoardAtom[] atoms = [.. Enumerable.Range(0, 1 + (round % 5)).Select(i => Atom(random, 1UL << (3 * i)))];
            var read = new ReadPatterns(atoms);
            Assert.Equal(atoms.Aggregate(0UL, (all, a) => all | a.Bit), read.Mask);
            Assert.All(Values.Where(_ => random.Next(50) == 0), v => Assert.Equal(Bits(atoms, v), read.At(v)));
            var (one, other) = (random.Next(880, 2120) + 0.5, random.Next(880, 2120) + 0.5);
            var (low, high) = (Math.Min(one, other), Math.Max(one, other));
            Assert.Equal(Among(atoms, v => v >= low && v <= high), read.Within(low, high));

            // No limit of whole microseconds lies just as far from another.
            var by = 3 + random.Next(40) + 0.3;
            foreach (var these in Values.Select(v => Bits(atoms, v)).Distinct())
            {
                var near = Values.Where(v => Bits(atoms, v) == these).ToArray();
                Assert.Equal(Among(atoms, v => Reaches(near, v - by, v + by)), read.Near(these, by));
            }
        }
    }

    // One of ascending values lies between two others.
    private static bool Reaches(double[] values, double from, double upTo)
    {
        var at = Array.BinarySearch(values, from);
        return at >= 0 || (~at < values.Length && values[~at] <= upTo);
    }

    private static BoardAtom Atom(Random random, ulong bit) =>
        random.Next(4) switch
        {
            0 => BoardAtom.Below(bit, 4, random.Next(900, 2100)),
            1 => BoardAtom.Above(bit, 4, random.Next(900, 2100)),
            2 => BoardAtom.AtLeast(bit, 4, random.Next(900, 2100)),
            _ => random.Next(900, 1500) is var from ? new(bit, 4, from, from + random.Next(1, 600)) : default,
        };

    private static ulong Bits(BoardAtom[] atoms, double value) =>
        atoms.Where(a => value >= a.From && value <= a.UpTo).Aggregate(0UL, (all, a) => all | a.Bit);

    private static ulong[] Among(BoardAtom[] atoms, Func<double, bool> counts) =>
        [.. Values.Where(counts).Select(v => Bits(atoms, v)).Distinct().Order()];
}
