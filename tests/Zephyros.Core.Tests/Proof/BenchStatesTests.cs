using Zephyros.Core.Bench;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What a proof calls under way, and which held frames tremble.</summary>
public sealed class BenchStatesTests
{
    // What is slow or waits on the throttle is under way for who looks at the throttle until it has arrived, and for nobody else.
    [Theory]
    [InlineData("slow on the throttle", 1900, 2100)]
    [InlineData("delayed limiter of the throttle", 900, 1100)]
    [InlineData("slow on the beeper", 0, 100)]
    public void Under_way_is_what_a_check_looks_at_and_has_not_arrived(string name, double still, double over)
    {
        var slow = new SlowStep
        {
            Order = 9,
            Up = new(50),
            Down = new(50),
        };
        var setup = name switch
        {
            "slow on the throttle" => Demo.Plain.WithStep("throttle", "slow", slow),
            "slow on the beeper" => Demo.Plain.WithStep("beeper", "slow", slow),
            _ => Demo
                .Plain.WithCondition("later", new DelayTest { Of = [At("left-shoulder", 2)], OnAfter = new(1000) })
                .WithOverride("throttle", "later", 0),
        };
        var plan = SignalPlan.Compile(setup);
        var bench = new BenchRun(setup);
        var scope = new ProofScope(plan, new ProofLooks(plan.Board.MotorBits, new([]), null, AtRestOn: "throttle"));
        bench.AdvanceTo(Milliseconds(5000));
        Assert.False(BenchStates.UnderWay(bench, scope));
        bench.Move("throttle", 0);
        bench.Move("left-front-inner", 1);
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(Milliseconds(5000 + still));
        Assert.Equal(still > 0, BenchStates.UnderWay(bench, scope));
        bench.AdvanceTo(Milliseconds(5000 + over));
        Assert.False(BenchStates.UnderWay(bench, scope));
    }

    // Channel 5 stands at an edge of the arm band with a wander of 30 µs; the link carries it, or four channels only.
    [Theory]
    [InlineData(8, 1)]
    [InlineData(4, 0)]
    public void Only_what_arrives_trembles(int carried, int others)
    {
        var setup = Demo
            .Plain.WithAir(a => a with { Channels = carried })
            .WithArm(f => f with { Low = new(1510) })
            .WithBoard(b => b with { Wander = b.Wander.Add(new(5), new(30)) });
        var plan = SignalPlan.Compile(setup);
        var scope = new ProofScope(plan, new ProofLooks(plan.Board.MotorBits, new([]), null, null));
        var trembles = new HeldTrembles(scope, new Dictionary<int, Microseconds> { [4] = new(1500) });
        Assert.Equal(others, trembles.Of(0, linked: true).Count());
    }

    // From one end to the other at 50 % a second are four seconds.
    [Fact]
    public void A_slow_arm_channel_is_waited_for_as_long_as_its_whole_travel_takes()
    {
        var slow = new SlowStep
        {
            Order = 9,
            Up = new(50),
            Down = new(50),
        };
        var plan = SignalPlan.Compile(Demo.Plain.WithStep("arm", "slow", slow));
        var verdict = new Prover(plan, Patient).Prove(
            PromiseList.All.Single(p => p.Code == "no-delayed-arming"),
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(VerdictKind.Broken, verdict.Kind);
        Assert.Contains("Wait 4 s while what moves slowly goes on.", verdict.Path.Select(s => s.Sentence));
    }

    private static TimeSpan Milliseconds(double time) => TimeSpan.FromMilliseconds(time);
}
