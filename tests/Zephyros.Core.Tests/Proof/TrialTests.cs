using Zephyros.Core.Board;
using Zephyros.Core.Fixes;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What becomes of a sequence that does not play, and of functions that are on where no plan has them.</summary>
public sealed class TrialTests
{
    // A dial that scales the throttle: whether the throttle is up depends on two controls together, and on nothing that moves by itself.
    [Fact]
    public void What_two_controls_decide_together_breaks_nothing_by_itself() =>
        Assert.Equal(VerdictKind.Proven, Prove(new RandomCraft(32).Make(), "safe-end-is-safe").Kind);

    // Whether a delay of 0.4 s is over before the sensors are calibrated is a matter of their lengths, and decides these.
    [Theory]
    [InlineData(8, "thrust-stays")]
    [InlineData(11, "quiet-start")]
    [InlineData(23, "thrust-stays")]
    public void The_boards_times_end_in_order_with_the_models(int seed, string code) =>
        Assert.NotEqual(VerdictKind.NotProven, Prove(new RandomCraft(seed).Make(), code).Kind);

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

    // Half a second after arming was asked for it is forced off, and the sensors take longer: it must be asked for late, or nothing arms.
    [Fact]
    public void What_still_waits_at_the_end_has_begun_late_enough()
    {
        var setup = Demo
            .Plain.WithCondition("later", new DelayTest { Of = [At("left-shoulder", 2)], OnAfter = new(500) })
            .WithOverride("arm", "later", -100)
            .WithGuards(_ => new ArmGuards
            {
                Calibration = new Milliseconds(1500),
                RefusalLatches = false,
                RefusesThrottle = false,
            });
        var verdict = Prove(setup, "no-delayed-arming");
        Assert.Equal(VerdictKind.Broken, verdict.Kind);
        Assert.Equal(MoveKind.BoardTime, verdict.Path[^1].Kind);
    }

    // One switch after the other sets a latch before both are there; within one frame nothing does.
    [Fact]
    public void Two_hands_at_once_find_what_one_after_the_other_does_not()
    {
        var (left, right) = ("left-back-switch", "right-back-switch");
        Test Stand(int one, int other) => All(At(left, one), At(right, other));
        var setup = Demo
            .Plain.WithCondition("between", Latch(Any(Stand(1, 2), Stand(2, 1)), Stand(1, 1)))
            .WithCondition("both", All(Stand(2, 2), Not(Holds("between"))))
            .WithOverride("throttle", "both", 0);
        var promise = PromiseList.All.Single(p => p.Code == "no-switch-adds-thrust");
        PromiseVerdict Under(ProofLimits limits) =>
            new Prover(SignalPlan.Compile(setup), limits).Prove(promise, null, TestContext.Current.CancellationToken);
        Assert.Equal(VerdictKind.Proven, Under(Patient).Kind);
        var verdict = Under(Patient with { TwoHands = true });
        Assert.Equal(VerdictKind.Broken, verdict.Kind);
        Assert.Equal([left, right], verdict.Path[^1].Inputs.Select(i => i.Id).Order(StringComparer.Ordinal));
        var replay = new BenchReplay(setup, verdict.Path);
        while (!replay.AtEnd)
            Assert.True(replay.Step());
        Assert.Equal(MotorLevel.Thrust, replay.Bench.Board.Motors);
    }

    // What a receiver sends by itself trembles too: 20 µs are harmless to a preset 30 µs below the low limit, and not to one 10 µs below it.
    [Fact]
    public void A_preset_is_judged_with_what_it_trembles()
    {
        var near = PlantedParts.Presets((1, 1000), (5, 1100));
        Assert.Equal(VerdictKind.Proven, Prove(near, "quiet-receiver").Kind);
        Assert.Equal(VerdictKind.Broken, Prove(PlantedParts.Trembling(near), "quiet-receiver").Kind);
        var far = PlantedParts.Presets((1, 980), (5, 1100));
        Assert.Equal(VerdictKind.Proven, Prove(PlantedParts.Trembling(far), "quiet-receiver").Kind);
    }

    // A start position that makes no difference is the one at which the control always starts.
    [Fact]
    public void A_sequence_starts_with_what_matters_elsewhere_only()
    {
        foreach (
            var (name, code) in new[]
            {
                ("cut without a latch", "safe-end-is-safe"),
                ("receiver that holds", "loss-is-handled"),
            }
        )
        {
            var setup = ProofFaults.All[name].Setup;
            var path = Prove(setup, code).Path;
            foreach (var input in path[0].Inputs.Where(i => i.Kind == InputKind.Control))
            {
                var start = setup.Transmitter.Controls[input.Id].StartSetting;
                var plain = input with { Setting = start, From = start, UpTo = start };
                PathStep[] without =
                [
                    path[0] with
                    {
                        Inputs = [.. path[0].Inputs.Select(i => i == input ? plain : i)],
                    },
                    .. path.Skip(1),
                ];
                var (told, other) = (new BenchReplay(setup, path), new BenchReplay(setup, without));
                var same = true;
                while (!told.AtEnd)
                    same &= (told.Step(), other.Step()) is var _ && told.Bench.Board.Motors == other.Bench.Board.Motors;
                Assert.True(input.Setting == start || !same, $"{name}: {input.Id} need not stand at {input.Setting}");
            }
        }
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
                Build.Patient,
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
            Build.Patient,
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
        new Prover(SignalPlan.Compile(setup), Build.Patient).Prove(
            PromiseList.All.Single(p => p.Code == code),
            null,
            TestContext.Current.CancellationToken
        );
}
