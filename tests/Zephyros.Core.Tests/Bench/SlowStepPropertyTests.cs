using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>Whatever happens, a slow step goes as fast as it may, from the moment on at which its value moves, and never faster. Judged by
/// a point that follows the stick along a line, worked out without steps of time.</summary>
public sealed class SlowStepPropertyTests
{
    private static readonly SignalPlan Unslowed = SignalPlan.Compile(Demo.Plain);

    private sealed record Happening(int Kind, double Stick, double Wait);

    // Something else that goes on by itself, or that has the model worked out.
    private static readonly Action<BenchRun, bool>[] Others =
    [
        (b, on) => b.Move("right-back-switch", on ? 2 : 1),
        (b, on) => b.SetLink(on),
        (b, on) => b.SetTelemetry(on),
        (b, on) => b.SetDistance(on ? new Kilometres(5000) : null),
    ];

    // Waits of tenths of a millisecond, of some frames, and long rests.
    private static readonly Gen<double> Waits = Gen.OneOf(
        Gen.Int[0, 300].Select(t => t / 10.0),
        Gen.Int[0, 900].Select(t => (double)t),
        Gen.Const(5000.0)
    );

    private static readonly Gen<(double Up, double Down, Happening[] Happens)> Histories = Gen.Select(
        Speeds(),
        Speeds(),
        Gen.Select(Gen.Int[0, 9], Gen.Int[-100, 100], Waits)
            .Select(h => new Happening(h.Item1, h.Item2, h.Item3))
            .Array[1, 40]
    );

    [Fact]
    public void On_the_bench_it_follows_the_stick_and_nothing_else() =>
        Histories.Sample(
            history =>
            {
                var setup = Slowed(history.Up, history.Down);
                var bench = new BenchRun(setup);
                // A model that goes on by itself is worked out every ten milliseconds: what it says is no older than that.
                var (point, behind) = (new Follower(history.Up, history.Down), new Follower(history.Up, history.Down));
                foreach (var (kind, stick, wait) in history.Happens)
                {
                    if (kind < Others.Length)
                    {
                        Others[kind](bench, stick > 0);
                    }
                    else if (kind == Others.Length)
                    {
                        bench.SetTransmitter(false);
                        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
                        bench.SetTransmitter(true);
                        point.StartAnew(bench.Now);
                        behind.StartAnew(bench.Now);
                    }
                    else
                    {
                        bench.Move("throttle", stick);
                        point.Follow(stick, bench.Now);
                        behind.Follow(stick, bench.Now);
                    }

                    AssertBetween(bench, behind, point);
                    bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(wait));
                    point.ReachAt(bench.Now);
                    behind.ReachAt(bench.Now - TimeSpan.FromMilliseconds(10));
                    AssertBetween(bench, behind, point);
                }
            },
            iter: Iterations.Of(60)
        );

    // The plain interpreter does what the plan does (EvaluatorTests, with slow steps among the rest).
    [Fact]
    public void In_the_plan_it_goes_as_far_as_its_time_allows() =>
        Histories.Sample(
            history =>
            {
                var rig = new ModelRig(Slowed(history.Up, history.Down));
                var point = new Follower(history.Up, history.Down);
                var now = TimeSpan.Zero;
                foreach (var (_, stick, wait) in history.Happens)
                {
                    rig.Put("throttle", stick);
                    point.Follow(stick, now);
                    Assert.Equal(point.Value, rig.Values("throttle")[^3], 1e-6);
                    rig.Pass(wait);
                    point.ReachAt(now += TimeSpan.FromMilliseconds(wait));
                    Assert.Equal(point.Value, rig.Values("throttle")[^3], 1e-6);
                }
            },
            iter: Iterations.Of(60)
        );

    private static void AssertBetween(BenchRun bench, Follower one, Follower other)
    {
        double Sent(double value) => Unslowed.With("throttle", value).Sent[2].Value;
        var sent = bench.Comparison()[2].Model!.Value.Value;
        Assert.InRange(
            sent,
            Sent(Math.Min(one.Value, other.Value)) - 1e-6,
            Sent(Math.Max(one.Value, other.Value)) + 1e-6
        );
    }

    private static Gen<double> Speeds() => Gen.OneOf(0.0, 1, 7.5, 50, 333, 10_000);

    // A delay and a press on a switch keep the model going at times of their own.
    private static Setup Slowed(double up, double down) =>
        Demo
            .Plain.WithStep(
                "throttle",
                "slow",
                new SlowStep
                {
                    Order = 9,
                    Up = new(up),
                    Down = new(down),
                }
            )
            .WithCondition(
                "late",
                new DelayTest
                {
                    Of = [Build.At("right-back-switch", 2)],
                    OnAfter = new Milliseconds(700),
                    OffAfter = new Milliseconds(1500),
                }
            );

    // Where a point is that follows a target as fast as it may.
    private sealed class Follower(double up, double down)
    {
        private double target = -100;
        private TimeSpan at;

        public double Value { get; private set; } = -100;

        public void Follow(double to, TimeSpan from)
        {
            ReachAt(from);
            target = to;
            ReachAt(from);
        }

        public void ReachAt(TimeSpan time)
        {
            if (time < at)
                return;
            var speed = target > Value ? up : down;
            var way = Math.Abs(target - Value);
            var far = speed == 0 ? way : Math.Min(way, speed * (time - at).TotalSeconds);
            (Value, at) = (far >= way ? target : Value + (target > Value ? far : -far), time);
        }

        public void StartAnew(TimeSpan time) => (Value, at) = (target, time);
    }
}
