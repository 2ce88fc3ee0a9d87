using Zephyros.Core.Bench;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>How the throttle answers its stick, as the proof says, against a hand that knows nothing but the bench: random chains of the
/// throttle with conditions, latches, shares by a dial and comparisons that two controls decide together.</summary>
public sealed class ThrottleResponseTests
{
    private const int Places = 2048;
    private static readonly TimeSpan UntilSeen = TimeSpan.FromMilliseconds(40);

    [Fact]
    public void No_hand_sees_the_throttle_grow_more_or_fall_where_the_proof_says_that_it_does_not()
    {
        var (grown, fallen, setups) = (0, 0, (int)Iterations.Of(40));
        var wrong = new List<string>();
        Parallel.For(
            0,
            setups,
            new ParallelOptions { CancellationToken = TestContext.Current.CancellationToken },
            seed =>
            {
                var setup = new Course(seed).Make();
                var prover = new Prover(SignalPlan.Compile(setup), Patient);
                var response = prover.Response!;
                Assert.True(response is not null, $"seed {seed}: {prover.Unanswered}");
                var (growth, fall) = Watch(setup, new Random(seed));
                var said = response.Growth?.Growth ?? 0;
                var confirmed = Verdict(setup with { Limits = setup.Limits with { JumpShare = new(5) } }, "no-jump");
                lock (wrong)
                {
                    if (growth > said + 1e-6)
                        wrong.Add($"seed {seed}: grew by {growth}, said {said}");
                    else if (growth > said - 1e-6)
                        grown++;
                    if (fall && response.Fall is null)
                        wrong.Add($"seed {seed}: fell");
                    else if (fall)
                        fallen++;
                    // What is said to be seen is seen on the bench, to the microsecond.
                    if (said > 50.1 && !Shows(confirmed, response.Growth!.Before, response.Growth.After))
                        wrong.Add($"seed {seed}: {said} not shown: {confirmed.Reason}");
                    if (response.Fall is { } fell && !Shows(Verdict(setup, "can-fly"), fell.Before, fell.After))
                        wrong.Add($"seed {seed}: a fall from {fell.From} to {fell.To} not shown");
                }
            }
        );
        Score.Tell(
            $"throttle response: in {setups} setups a hand met the greatest growth in {grown} and a fall in {fallen}"
        );
        Assert.Empty(wrong.Order(StringComparer.Ordinal));
        // The hand is no weak judge.
        Assert.InRange(grown, setups / 2, setups);
        Assert.InRange(fallen, setups / 8, setups);
    }

    private static PromiseVerdict Verdict(Setup setup, string code) =>
        new Prover(SignalPlan.Compile(setup), Patient).Prove(PromiseList.All.Single(p => p.Code == code));

    private static bool Shows(PromiseVerdict verdict, double before, double after) =>
        verdict.Kind == VerdictKind.Broken
        && verdict.Path.Any(s => s.Outcome.EndsWith($" {Figures.Plain(before)} µs.", StringComparison.Ordinal))
        && verdict.Path[^1].Outcome.EndsWith($" {Figures.Plain(after)} µs.", StringComparison.Ordinal);

    // The most that the throttle grew within the set movement of its stick alone, and whether it fell while the stick rose.
    private static (double Growth, bool Fall) Watch(Setup setup, Random random)
    {
        var within = (int)(setup.Limits.JumpWithin.Value / 100 * Places);
        var number = setup.Board.Map.ChannelOf(StickAxis.Throttle);
        var stick = setup.Transmitter.StickOf(StickAxis.Throttle)!;
        var bench = new BenchRun(setup);
        var (place, growth, fall) = (0, 0.0, false);
        double Throttle()
        {
            bench.AdvanceTo(bench.Now + UntilSeen);
            return bench.ReceivedOn(number).Value;
        }

        Move(stick, -100);
        var last = Throttle();
        for (var i = 0; i < 4000; i++)
        {
            var kind = random.Next(8);
            if (kind < 2)
            {
                Move(Course.Switch, random.Next(1, 4));
                last = Throttle();
                continue;
            }

            if (kind == 2)
            {
                Move(Course.Dial, Course.DialPlaces[random.Next(Course.DialPlaces.Length)]);
                last = Throttle();
                continue;
            }

            // Near to where it stands, or to one side of where something may change, or anywhere.
            var to = random.Next(4) switch
            {
                0 => random.Next(Places + 1),
                1 => Course.Edges[random.Next(Course.Edges.Length)] + random.Next(-1, 2),
                2 => place + (random.Next(2) == 0 ? within : -within),
                _ => place + random.Next(-within, within + 1),
            };
            to = Math.Clamp(to, 0, Places);
            // Now and then slowly, with every edge passed on the way.
            var edges = Course.Edges.SelectMany(e => new[] { e - 1, e, e + 1 });
            if (random.Next(3) == 0)
                foreach (var edge in edges.Where(e => (e - place) * (to - e) > 0).OrderBy(e => Math.Abs(e - place)))
                    Move(stick, -100 + (200.0 * edge / Places));
            Move(stick, -100 + (200.0 * to / Places));
            var now = Throttle();
            if (Math.Abs(to - place) <= within && to != place)
                growth = Math.Max(growth, now - last);
            fall |= to > place && now < last;
            (place, last) = (to, now);
        }

        return (growth, fall);

        void Move(string control, double setting) => Assert.True(bench.Move(control, setting));
    }

    /// <summary>A setup with a random chain of the throttle.</summary>
    private sealed class Course(int seed)
    {
        public const string Switch = "left-front-outer";
        public const string Dial = "left-dial";
        private readonly Random random = new(seed);
        private static readonly int[] Limits = [-90, -60, -20, -17, 5, 8, 40, 80];

        /// <summary>Where the stick is compared with something.</summary>
        public static int[] Edges { get; } = [.. Limits.Select(l => (l + 100) * Places / 200), 0, Places];

        /// <summary>Both ends, and both sides of where the dial is compared with something.</summary>
        public static double[] DialPlaces { get; } = [-100, 100, 32.9, 33.1];

        public Setup Make()
        {
            var setup = Demo.Plain;
            for (var i = 0; i < 3; i++)
                setup = setup.WithCondition($"c{i}", Condition(i));
            var steps = random.Next(1, 4);
            for (var i = 0; i < steps; i++)
                setup = setup.WithStep("throttle", $"step-{i}", Step(i));
            if (Chance(0.3))
                setup = setup.WithChannel(
                    "throttle",
                    c => c with { Output = c.Output with { Low = new(-90), High = new(random.Next(50, 101)) } }
                );
            Assert.Empty(SetupValidator.Check(setup));
            return setup with { Limits = setup.Limits with { JumpWithin = new(random.Next(1, 12)) } };
        }

        private Test Condition(int number) =>
            random.Next(6) switch
            {
                0 => Latch(Leaf(), Leaf()),
                1 => Latch(Stick(), At(Switch, random.Next(1, 4))),
                2 when number > 0 => All(Leaf(), Holds($"c{number - 1}")),
                3 when number > 0 => Any(Not(Holds($"c{number - 1}")), Leaf()),
                4 => Above(new ChannelSource { Channel = "arm" }, 0),
                _ => Leaf(),
            };

        private Test Leaf() =>
            random.Next(4) switch
            {
                0 => At(Switch, random.Next(1, 4)),
                1 => Above(Hand(Dial), 33),
                _ => Stick(),
            };

        private CompareTest Stick() =>
            Chance(0.5)
                ? Below(Hand("throttle"), Limits[random.Next(Limits.Length)])
                : Above(Hand("throttle"), Limits[random.Next(Limits.Length)]);

        private ChainStep Step(int order)
        {
            ChainStep step = random.Next(4) switch
            {
                0 => new MultiplyStep { Order = order, With = With(Hand(Dial), scale: random.Next(5, 31), shift: 70) },
                1 => new CurveStep
                {
                    Order = order,
                    Points = Points(
                        (-100, -100),
                        (-50, random.Next(-100, 0)),
                        (10, random.Next(-50, 60)),
                        (100, random.Next(30, 101))
                    ),
                    Smooth = Chance(0.3),
                },
                _ => new ScaleStep
                {
                    Order = order,
                    Scale = new(random.Next(30, 101)),
                    Shift = new(random.Next(-40, 41)),
                },
            };
            return step with { When = Chance(0.6) ? $"c{random.Next(3)}" : null };
        }

        private bool Chance(double share) => random.NextDouble() < share;
    }
}
