using System.Numerics;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Tables;

namespace Zephyros.Core.Tests.Proof;

/// <summary>The numbering of positions against lists of cells, one for each input, which know nothing of words and bits.</summary>
public sealed class InputGridTests
{
    // Few inputs and many, all in one word, in one word exactly, and in several.
    public static TheoryData<int[]> Counts =>
        new(
            [2],
            [3, 2],
            [2, 2, 2, 2, 2, 2],
            [8, 8],
            [8, 8, 2],
            [5, 3, 4, 2],
            [65, 2],
            [2, 65],
            [3, 3, 3, 3, 2],
            [64],
            [7, 9, 2, 3]
        );

    [Theory]
    [MemberData(nameof(Counts))]
    public void Every_position_has_a_place_of_its_own(int[] counts)
    {
        var grid = Grid(counts);
        var all = Positions(counts).ToArray();
        Assert.Equal(all.Length, grid.Positions);
        Assert.Equal(counts, Enumerable.Range(0, grid.Count).Select(grid.CellsOf));
        var places = all.Select(p => Place(grid, p)).ToArray();
        Assert.Equal(all.Length, places.Distinct().Count());
        Assert.Equal(all.Length, grid.Words * BitOperations.PopCount(grid.Used));
        foreach (var (cells, (word, bit)) in all.Zip(places))
        {
            Assert.InRange(word, 0, grid.Words - 1);
            Assert.NotEqual(0UL, grid.Used >> bit & 1);
            Assert.Equal(cells, Enumerable.Range(0, counts.Length).Select(i => grid.Cell(i, word, bit)));
        }
    }

    [Theory]
    [MemberData(nameof(Counts))]
    public void A_movement_of_many_positions_is_the_movement_of_each(int[] counts)
    {
        var random = new Random(counts.Sum());
        int[][] open = [.. counts.Select(n => Enumerable.Range(0, n).Where(_ => random.Next(3) == 0).ToArray())];
        var grid = Grid(counts, open);
        var all = Positions(counts).ToArray();
        for (var round = 0; round < 40; round++)
        {
            var from = all.Where(_ => random.Next(1 + (round % 5)) == 0).ToArray();
            var input = random.Next(counts.Length);
            var cell = random.Next(counts[input]);
            var set = Set(grid, from);
            var moved = new PassingSet(grid.Words, new ByteMeter());
            grid.AddMoved(set, input, cell, moved);
            // To another cell, or within one in which something is left open.
            var wanted = from.Where(p => p[input] != cell || open[input].Contains(cell))
                .Select(p => With(p, input, cell));
            Assert.Equal(Told(grid, wanted), Told(moved));
            // Whatever stands where, also what stands there already.
            var put = new PassingSet(grid.Words, new ByteMeter());
            foreach (var word in set.Places.ToArray())
            {
                var (at, bits) = grid.WithAll(input, cell, word, set[word]);
                put.Add(at, bits);
            }

            Assert.Equal(Told(grid, from.Select(p => With(p, input, cell))), Told(put));
            foreach (var position in from.Take(20))
            {
                var (word, bit) = Place(grid, position);
                Assert.Equal(Place(grid, With(position, input, cell)), grid.With(input, cell, word, bit));
            }
        }
    }

    [Fact]
    public void A_set_that_passes_is_empty_again_and_keeps_no_word_twice()
    {
        var set = new PassingSet(100, new ByteMeter());
        for (var word = 99; word >= 0; word--)
            set.Add(word, 1UL << (word % 64));
        set.Add(99, 2);
        set.Add(7, 0);
        Assert.Equal(Enumerable.Range(0, 100).Reverse(), set.Places.ToArray());
        Assert.Equal((1UL << 35) | 2, set[99]);
        set.Clear();
        Assert.Empty(set.Places.ToArray());
        Assert.Equal(0UL, set[99]);
        set.Add(5, 0);
        Assert.Empty(set.Places.ToArray());
    }

    // States as they come, several times and in any order, against plain sets of them.
    [Fact]
    public void What_was_found_is_new_once()
    {
        for (var seed = 0; seed < 20; seed++)
        {
            var random = new Random(seed);
            var meter = new ByteMeter();
            var found = new FoundStates(words: 200, meter);
            var known = new HashSet<(int Memory, int Situation, int Word, int Bit)>();
            for (var level = 0; level < 5; level++)
            {
                var fresh = new HashSet<(int Memory, int Situation, int Word, int Bit)>();
                for (var i = 0; i < 60; i++)
                {
                    var (memory, situation, word) = (random.Next(3), random.Next(3), random.Next(200));
                    var bits = (ulong)random.NextInt64() & (ulong)random.NextInt64();
                    found.Add(found.At(memory, situation), word, bits);
                    for (var bit = 0; bit < 64; bit++)
                        if ((bits >> bit & 1) != 0 && known.Add((memory, situation, word, bit)))
                            fresh.Add((memory, situation, word, bit));
                }

                Assert.Equal((fresh.Count == 0, known.Count), (found.NothingNew, found.Count));
                var taken = found.TakeNew();
                Assert.Equal(taken.OrderBy(s => s.Situation).ThenBy(s => s.Memory), taken);
                Assert.All(taken, s => Assert.Equal(s.Places.Distinct().Order(), s.Places));
                Assert.Equal(fresh.Count, taken.Sum(s => s.Count));
                Assert.All(
                    fresh,
                    f =>
                        Assert.True(
                            taken
                                .Single(s => (s.Memory, s.Situation) == (f.Memory, f.Situation))
                                .Contains(f.Word, f.Bit)
                        )
                );
                Assert.True(found.NothingNew);
                Assert.Equal(0, found.PassingBytes);
            }

            for (var word = 0; word < 200; word++)
                Assert.Equal(known.Contains((1, 2, word, 9)), found.Has(new ProofState(word, 9, 1, 2)));
            Assert.False(found.Has(new ProofState(0, 0, 7, 0)));
            Assert.False(found.Has(new ProofState(0, 0, 0, 7)));
            Assert.Equal(
                known.Count,
                found.All.Sum(p => p.Positions.Words().Sum(w => (long)BitOperations.PopCount(w.Bits)))
            );
        }
    }

    private static InputGrid Grid(int[] counts, int[][]? open = null) =>
        new([
            .. counts.Select(
                (n, i) =>
                    new ProofInput(
                        InputKind.Control,
                        $"c{i}",
                        $"C{i}",
                        [
                            .. Enumerable
                                .Range(0, n)
                                .Select(c => InputCell.Of(c) with { Open = open?[i].Contains(c) == true }),
                        ]
                    )
            ),
        ]);

    private static IEnumerable<int[]> Positions(int[] counts) =>
        counts.Length == 0
            ?
            [
                [],
            ]
            : Positions(counts[..^1]).SelectMany(p => Enumerable.Range(0, counts[^1]).Select(c => (int[])[.. p, c]));

    private static int[] With(int[] position, int input, int cell) =>
        [.. position.Select((c, i) => i == input ? cell : c)];

    // From the first place on, one input after the other.
    private static (int Word, int Bit) Place(InputGrid grid, int[] position) =>
        position.Index().Aggregate((Word: 0, Bit: 0), (at, c) => grid.With(c.Index, c.Item, at.Word, at.Bit));

    private static PassingSet Set(InputGrid grid, IEnumerable<int[]> positions)
    {
        var made = new PassingSet(grid.Words, new ByteMeter());
        foreach (var (word, bit) in positions.Select(p => Place(grid, p)))
            made.Add(word, 1UL << bit);
        return made;
    }

    private static IEnumerable<(int, int)> Told(InputGrid grid, IEnumerable<int[]> positions) =>
        positions.Select(p => Place(grid, p)).Distinct().Order();

    private static IEnumerable<(int, int)> Told(PassingSet set) =>
        set
            .Places.ToArray()
            .SelectMany(w => Enumerable.Range(0, 64).Where(b => (set[w] >> b & 1) != 0).Select(b => (w, b)))
            .Order();
}
