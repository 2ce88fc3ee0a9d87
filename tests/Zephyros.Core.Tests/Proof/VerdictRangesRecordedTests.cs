using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Where exactly a promise is lost when a number goes through its range: ends of bands with what trembles, humps of a curve, presets
/// and values that are held, times, limits. The far end of the arm switch arrives as 2011.88 µs, the safe one as 988.13.</summary>
public sealed class VerdictRangesRecordedTests
{
    private static readonly (string Promise, Scan Scan)[] Scans =
    [
        (
            "no-accidental-stop",
            new("upper end of the arm band", 2000, 2030, 1, x => Arm(f => f with { High = new(x) }))
        ),
        (
            "no-accidental-stop",
            new("upper end, the channel trembles by 5", 2000, 2030, 1, x => Trembling(5, f => f with { High = new(x) }))
        ),
        (
            "no-accidental-stop",
            new("lower end, the channel trembles by 5", 1990, 2020, 1, x => Trembling(5, f => f with { Low = new(x) }))
        ),
        (
            "safe-end-is-safe",
            new(
                "lower end above the safe position, trembling by 5",
                970,
                1000,
                1,
                x => Trembling(5, f => f with { Low = new(x) })
            )
        ),
        (
            "functions-reachable",
            new(
                "upper end of the beeper's band",
                1990,
                2030,
                1,
                x => Demo.Plain.WithFunction("beeper", f => f with { High = new(x) })
            )
        ),
        (
            "functions-reachable",
            new(
                "lower end of the middle band",
                1240,
                1620,
                10,
                x => Demo.Plain.WithFunction("self-right", f => f with { Low = new(x) })
            )
        ),
        (
            "can-fly",
            new(
                "limit of a low throttle",
                990,
                1030,
                1,
                x => Demo.Plain.WithBoard(b => b with { ThrottleLow = new(x) })
            )
        ),
        (
            "can-fly",
            new("a hump before 10 % of the stick", 0, 30, 1, x => Curved((-100, -100), (0, x), (10, 15), (100, 100)))
        ),
        ("can-fly", new("the upper end of the throttle", -100, 100, 1, x => Curved((-100, -100), (50, 50), (100, x)))),
        ("can-fly", new("the end that a switch forces", -100, 100, 5, x => Forced(x))),
        ("stick-down-idles", new("the low end of a curve", -100, -80, 0.5, x => Curved((-100, x), (0, 0), (100, 100)))),
        ("no-switch-adds-thrust", new("the value that a switch forces", -100, 0, 1, x => Forced(x))),
        ("no-switch-adds-thrust", new("the value that a switch adds", -10, 40, 1, Added)),
        ("thrust-stays", new("the value that a switch adds", -100, 10, 2, Added)),
        ("no-jump", new("the height of a step", 0, 60, 1, x => Curved((-100, -100), (0, 0), (1, x), (100, 100)))),
        (
            "no-jump",
            new(
                "the share of a jump",
                5,
                60,
                1,
                x => Curved((-100, -100), (0, 0), (1, 40), (100, 100)) with { Limits = new() { JumpShare = new(x) } }
            )
        ),
        (
            "no-jump",
            new("the movement of a jump", 1, 50, 1, x => Demo.Plain with { Limits = new() { JumpWithin = new(x) } })
        ),
        ("quiet-receiver", new("preset of the throttle", 980, 1030, 1, x => Preset((3, x), (5, 988)))),
        ("quiet-receiver", new("preset of arming", 988, 2012, 16, x => Preset((3, 988), (5, x)))),
        (
            "quiet-receiver",
            new(
                "preset of the throttle, trembling by 9",
                980,
                1030,
                1,
                x => Preset((3, x), (5, 988)).WithBoard(b => b with { Wander = b.Wander.Add(new(3), new(9)) })
            )
        ),
        ("no-delayed-arming", new("preset of arming", 988, 2012, 16, x => Preset((3, 988), (5, x)))),
        ("restart-stays-off", new("preset of arming", 988, 2012, 16, x => Preset((3, 988), (5, x)))),
        (
            "loss-is-handled",
            Scan.Each(
                "on a loss the receiver",
                Enum.GetValues<ReceiverLoss>(),
                x => Demo.Plain.WithAir(a => a with { OnLoss = x })
            )
        ),
        .. new[] { "quiet-receiver", "no-delayed-arming", "restart-stays-off", "no-switch-adds-thrust" }.Select(
            promise =>
                (
                    promise,
                    Scan.Each(
                        "on a loss the receiver, with the throttle preset half up",
                        Enum.GetValues<ReceiverLoss>(),
                        x => Preset((3, 1500), (5, 2012)).WithAir(a => a with { OnLoss = x })
                    )
                )
        ),
        (
            "loss-in-time",
            new(
                "time until the board knows",
                100,
                1200,
                10,
                x => Demo.Plain.WithBoard(b => b with { SignalTimeout = new(x) })
            )
        ),
        (
            "loss-in-time",
            new("grace", 0, 1500, 10, x => Demo.Plain.WithBoard(b => b with { Loss = b.Loss with { Grace = new(x) } }))
        ),
        (
            "loss-in-time",
            new(
                "limit of the pilot",
                100,
                1000,
                10,
                x => Demo.Plain with { Limits = new() { LossNoticedWithin = new(x) } }
            )
        ),
        (
            "no-leap",
            new(
                "restart of the transmitter, the board waits 800 ms",
                100,
                2000,
                50,
                x =>
                    Demo
                        .Plain.ReadyMade("throttle-cut", ("cut", "right-back-switch:2"))
                        .WithBoard(b => b with { SignalTimeout = new(800) }) with
                    {
                        Transmitter = Demo.Plain.Transmitter with { RestartTime = new(x) },
                    }
            )
        ),
        ("no-delayed-arming", new("delay of the arm switch", 0, 1000, 50, Late)),
    ];

    [Fact]
    public void Promises_are_lost_where_they_were() => Recorded.AssertSame("verdict-ranges", Scans.SelectMany(Lines));

    private static IEnumerable<string> Lines((string Promise, Scan Scan) of)
    {
        yield return $"# {of.Promise}: {of.Scan.Name}";
        foreach (
            var (range, _, verdict) in of.Scan.Stretches(s => Prove(s, of.Promise), v => $"{v.Kind}", apart: 24, few: 0)
        )
        {
            yield return $"  {range}: {verdict.Kind}, {verdict.States} states. {verdict.Reason}";
            foreach (var step in verdict.Path)
                yield return $"    {step.Sentence} {step.Outcome}";
        }
    }

    private static PromiseVerdict Prove(Setup setup, string promise) =>
        SetupValidator.Check(setup) is { Count: > 0 } problems
            ? throw new InvalidOperationException($"{promise}: {problems[0].Place} {problems[0].Reason}")
            : new Prover(SignalPlan.Compile(setup), Patient).Prove(
                PromiseList.All.Single(p => p.Code == promise),
                null,
                TestContext.Current.CancellationToken
            );

    private static Setup Arm(Func<BoardFunction, BoardFunction> change) => Demo.Plain.WithArm(change);

    private static Setup Trembling(double by, Func<BoardFunction, BoardFunction> change) =>
        Arm(change).WithBoard(b => b with { Wander = b.Wander.Add(new(5), new(by)) });

    private static Setup Curved(params (double X, double Y)[] points) =>
        Demo.Plain.WithStep("throttle", "curve", new CurveStep { Order = 5, Points = Points(points) });

    private static Setup Forced(double percent) =>
        Demo.Plain.WithCondition("on", At("right-shoulder", 2)).WithOverride("throttle", "on", percent);

    private static Setup Added(double percent) =>
        Demo
            .Plain.WithCondition("on", At("right-shoulder", 2))
            .WithStep(
                "throttle",
                "more",
                new AddStep
                {
                    Order = 5,
                    When = "on",
                    With = With(Constant(percent)),
                }
            );

    private static Setup Preset(params (int Channel, double Microseconds)[] presets) =>
        Demo.Plain.WithAir(a =>
            a with
            {
                OnLoss = ReceiverLoss.Preset,
                Presets = presets.Aggregate(a.Presets, (p, c) => p.SetItem(new(c.Channel), new(c.Microseconds))),
            }
        );

    private static Setup Late(double milliseconds) =>
        Demo
            .Plain.WithCondition("late", new DelayTest { Of = [At("left-shoulder", 2)], OnAfter = new(milliseconds) })
            .WithChannel("arm", c => c with { Take = new ConditionSource { Condition = "late" } });
}
