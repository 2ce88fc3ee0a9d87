using Zephyros.Core.Judgement;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What becomes of a sequence that does not play, and of functions that are on where no plan has them.</summary>
public sealed class TrialTests
{
    // A dial that scales the throttle: whether the throttle is up depends on two controls together, and on nothing that moves by itself.
    [Fact]
    public void What_two_controls_decide_together_breaks_nothing_by_itself() =>
        Assert.Equal(VerdictKind.Proven, Prove(new RandomCraft(32).Make(), "safe-end-is-safe").Kind);

    [Fact]
    public void A_function_that_telemetry_switches_on_breaks_its_plan_on_the_bench()
    {
        // The shortest sequence lets telemetry arrive before the craft has power, which no bench shows: a longer one must be found.
        var setup = Demo.Clean.WithFunction("lamp", f => f with { Planned = [2] });
        var verdict = Prove(setup, "functions-reachable");
        Assert.Equal(VerdictKind.Broken, verdict.Kind);
        var replay = new BenchReplay(setup, verdict.Path);
        while (!replay.AtEnd)
            replay.Step();
        Assert.True(setup.Board.Functions["lamp"].IsActive([.. replay.Bench.Snapshot("throttle").Received]));
        Assert.Equal(1, replay.Bench.SettingOf("right-shoulder"));
    }

    [Theory]
    [InlineData(1250, 2100)]
    [InlineData(1750, 1800)]
    [InlineData(900, 1200)]
    public void A_band_that_misses_its_plan_is_put_right_by_a_proven_fix(double low, double high)
    {
        var setup = Demo.Clean.WithFunction(
            "beeper",
            f => f with { Low = new Microseconds(low), High = new Microseconds(high) }
        );
        var promise = PromiseList.All.Single(p => p.Code == "functions-reachable");
        Assert.Equal(VerdictKind.Broken, Prove(setup, promise.Code).Kind);
        var fix = ProvenFixes
            .For(
                setup,
                promise,
                new Dictionary<string, VerdictKind>(StringComparer.Ordinal),
                new ProofLimits(),
                TestContext.Current.CancellationToken
            )
            .Single(f => f.Id == "as-planned/beeper");
        var after = fix.Edit.ApplyTo(setup).Setup!.Board.Functions["beeper"];
        Assert.Equal((1750, 2100), (after.Low.Value, after.High.Value));
    }

    // What the trade advises for each of these faults; nothing is offered that was not proven on a copy first.
    [Theory]
    [InlineData("receiver that holds", "loss-is-handled", "silent")]
    [InlineData("cut without a latch", "safe-end-is-safe", "latch/cut")]
    [InlineData("refusals that do not stand", "no-delayed-arming", "refusal-latches")]
    [InlineData("guard against a raised throttle off", "throttle-low-at-arming", "guard-throttle")]
    [InlineData("disarming only at low throttle", "stop-works", "disarm-at-once")]
    [InlineData("stabilisation at zero throttle on a switch", "no-switch-adds-thrust", "without/blended")]
    [InlineData("the switch announces arming", "changes-announced", "announce-by-report")]
    public void A_broken_promise_is_offered_the_setting_that_keeps_it(string fault, string code, string fix)
    {
        var setup = ProofFaults.All[fault].Setup;
        var promise = PromiseList.All.Single(p => p.Code == code);
        var fixes = ProvenFixes.For(
            setup,
            promise,
            new Dictionary<string, VerdictKind>(StringComparer.Ordinal) { ["can-fly"] = VerdictKind.Proven },
            new ProofLimits(),
            TestContext.Current.CancellationToken
        );
        Assert.Contains(fix, fixes.Select(f => f.Id));
        Assert.All(
            fixes,
            f =>
            {
                var after = f.Edit.ApplyTo(setup).Setup!;
                Assert.Equal(VerdictKind.Proven, Prove(after, code).Kind);
                Assert.Equal(VerdictKind.Proven, Prove(after, "can-fly").Kind);
            }
        );
    }

    private static PromiseVerdict Prove(Setup setup, string code) =>
        new Prover(SignalPlan.Compile(setup), new ProofLimits()).Prove(
            PromiseList.All.Single(p => p.Code == code),
            null,
            TestContext.Current.CancellationToken
        );
}
