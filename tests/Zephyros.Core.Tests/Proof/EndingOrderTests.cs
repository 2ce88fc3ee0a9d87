using Zephyros.Core.Board;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Running.Ranges;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What may end next, of delays and presses of the model and times of the board, against clocks that begin at random moments in
/// the same order: whatever these do must be allowed, and of what is allowed each of two must come about.</summary>
public sealed class EndingOrderTests
{
    // The transmitter works out its model so often, in milliseconds.
    private const double Tick = 10;
    private static readonly double[] Lengths = [200, 205, 210, 400, 900];

    [Fact]
    public void What_ends_together_or_first_is_what_clocks_do()
    {
        var random = new Random(1);
        for (var round = 0; round < 60; round++)
        {
            var waits = new Waits(random, count: 2 + (round % 2));
            double[] began = [.. waits.Ids.Select(_ => random.Next(3) * 10.0)];
            if (waits.Told(began) is not { } memory)
                continue;
            var allowed = waits.Memory.Endings(memory).ToHashSet();
            var met = new HashSet<ulong>();
            for (var i = 0; i < 4000; i++)
                if (waits.Ends(began, random) is { } ends)
                    met.Add(waits.Seen(ends, ends.Min() + (random.NextDouble() * Tick)));
            Assert.Subset(allowed, met);
            // Nearer than two looks at the model the proof allows a little more.
            var apart = Math.Abs(waits.LengthsOf[0] - waits.LengthsOf[1]);
            if (waits.Ids.Count == 2 && met.Count > 0 && (apart > Tick || began[0] == began[1]))
                Assert.Equal(allowed.Order(), met.Order());
        }
    }

    // A calibration among the waits of the model: what has less to wait, and began before, is over before it.
    [Fact]
    public void A_time_of_the_board_ends_before_or_after_waits_as_clocks_say()
    {
        var random = new Random(2);
        var (first, last) = (0, 0);
        for (var round = 0; round < 200; round++)
        {
            var waits = new Waits(random, count: 2);
            var length = waits.Calibration;
            double[] began = [10, 20];
            var memory = waits.Told(began)!.Value;
            var order = new TimerOrder(waits.Plan, waits.Memory);
            var before = random.Next(3);
            var place = order.After(TimerOrder.With(0, BoardTimer.Calibration, 1 + before), memory, memory);
            Assert.Equal(1 + before, TimerOrder.Place(place, BoardTimer.Calibration));
            var (boardFirst, modelFirst) = (false, new HashSet<ulong>());
            for (var i = 0; i < 2000; i++)
            {
                if (waits.Ends(began, random) is not { } ends)
                    continue;
                // It began after so many of the waits, before the next, and not so long ago that it would be over.
                double[] starts = [.. ends.Zip(waits.LengthsOf, (e, l) => e - l)];
                var from = before == 0 ? starts[0] - length : starts[before - 1];
                var upTo = before == 2 ? starts[1] + 50 : starts[before];
                var over = from + (random.NextDouble() * (upTo - from)) + length;
                if (over <= Math.Max(starts[1], from))
                    continue;
                boardFirst |= over < ends.Min();
                if (ends.Min() + Tick < over)
                    modelFirst.Add(waits.Seen(ends, ends.Min()));
            }

            var may = order.MayEnd(place, BoardTimer.Calibration, memory);
            Assert.True(may || !boardFirst);
            Assert.All(modelFirst, set => Assert.True(order.MayEnd(place, set, memory)));
            // Far apart: half a second is more than all frames and looks at the model take.
            for (var i = 0; i < 2; i++)
            {
                if (i < before && waits.LengthsOf[i] + 500 <= length)
                {
                    first++;
                    Assert.False(may);
                }

                if (i >= before && length + 500 <= waits.LengthsOf[i])
                {
                    last++;
                    Assert.False(order.MayEnd(place, waits.Set(i), memory));
                }
            }
        }

        Assert.True(first > 10 && last > 10, $"{first} and {last} cases far apart");
    }

    [Fact]
    public void A_time_of_the_board_keeps_its_place_while_waits_end_and_begin()
    {
        var waits = new Waits(new Random(3), count: 3);
        var order = new TimerOrder(waits.Plan, waits.Memory);
        int After(double[] began, double[] then, int place) =>
            TimerOrder.Place(
                order.After(
                    TimerOrder.With(0, BoardTimer.Calibration, place),
                    waits.Told(began)!.Value,
                    waits.Told(then)!.Value
                ),
                BoardTimer.Calibration
            );
        var none = double.NaN;
        // After the second of three, of which one ends.
        Assert.Equal(2, After([10, 20, 30], [none, 20, 30], 3));
        Assert.Equal(2, After([10, 20, 30], [10, none, 30], 3));
        Assert.Equal(3, After([10, 20, 30], [10, 20, none], 3));
        // Another begins, before and after it has begun itself.
        Assert.Equal(3, After([10, 20, none], [10, 20, 30], 3));
        Assert.Equal(4, After([10, 20, none], [10, 20, 30], TimerOrder.Begun));
        Assert.Equal(1, After([none, none, none], [none, none, none], TimerOrder.Begun));
        // It does not run.
        Assert.Equal(0, After([10, 20, none], [10, 20, 30], 0));
    }

    /// <summary>Delays of random lengths that wait, in a random direction, behind overrides of the throttle.</summary>
    private sealed class Waits
    {
        private readonly IReadOnlyList<MemoryPart> parts;
        private readonly int[] states;

        public Waits(Random random, int count)
        {
            var setup = Demo.Plain;
            Ids = [.. Enumerable.Range(0, count).Select(i => $"wait-{i}")];
            var (lengths, directions) = (new double[count], new int[count]);
            for (var i = 0; i < count; i++)
            {
                (lengths[i], directions[i]) = (Lengths[random.Next(Lengths.Length)], random.Next(2));
                // The other way takes a time of its own, which must not matter.
                var (on, off) = directions[i] == 0 ? (lengths[i], 700.0) : (700.0, lengths[i]);
                var test = new DelayTest
                {
                    Of = [At("left-front-outer", i + 1)],
                    OnAfter = new(on),
                    OffAfter = new(off),
                };
                setup = setup.WithCondition(Ids[i], test).WithOverride("throttle", Ids[i], -100);
            }

            Calibration = random.Next(2) == 0 ? 300 : 1500;
            setup = setup.WithBoard(b =>
                b with
                {
                    Guards = b.Guards with { Calibration = new Milliseconds(Calibration) },
                }
            );
            Plan = SignalPlan.Compile(setup);
            var model = new Prover(Plan, Patient).ModelFor(new PromiseCheck(Plan.Board.MotorBits, () => null!));
            Memory = model.Memory;
            parts = model.Scope.Parts;
            LengthsOf = lengths;
            states = directions;
        }

        public IReadOnlyList<string> Ids { get; }

        public SignalPlan Plan { get; }

        public ReducedMemory Memory { get; }

        public double[] LengthsOf { get; }

        public double Calibration { get; }

        /// <summary>The number of a memory in which waits began at so many moments; not a number for one that does not wait.</summary>
        public int? Told(double[] began)
        {
            int[] stands = [.. parts.Select(p => states[Index(p)])];
            double[] waited = [.. parts.Select(p => 100 - began[Index(p)])];
            return Memory.NumbersOf(stands, waited)[0];
        }

        /// <summary>When each ends, with beginnings in the order of these; null when one is over before the last has begun.</summary>
        public double[]? Ends(double[] began, Random random)
        {
            var now = 0.0;
            var starts = new double[began.Length];
            foreach (var rank in began.Distinct().Order())
            {
                for (var i = 0; i < began.Length; i++)
                    if (began[i] == rank)
                        starts[i] = now;
                now += random.Next(3) switch
                {
                    0 => random.NextDouble() * Tick,
                    1 => random.NextDouble() * 100,
                    _ => random.NextDouble() * 900,
                };
            }

            double[] ends = [.. starts.Zip(LengthsOf, (s, l) => s + l)];
            return ends.Min() > starts.Max() ? ends : null;
        }

        /// <summary>The set of those that are over at a moment.</summary>
        public ulong Seen(double[] ends, double at) =>
            Enumerable.Range(0, ends.Length).Where(i => ends[i] <= at).Aggregate(0UL, (set, i) => set | Set(i));

        /// <summary>The set of one.</summary>
        public ulong Set(int wait) => 1UL << parts.ToList().FindIndex(p => Index(p) == wait);

        private int Index(MemoryPart part) => Ids.ToList().IndexOf(part.Owner.Id);
    }
}
