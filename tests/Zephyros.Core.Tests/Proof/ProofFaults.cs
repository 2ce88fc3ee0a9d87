using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;
using static Zephyros.Core.Tests.Proof.PlantedParts;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Faults planted in the clean demo setup, each by one change, with the promise or finding that must catch it.</summary>
internal static class ProofFaults
{
    /// <summary>What is planted, and the code of the promise (or, with "finding ", the key of the finding) that catches it.</summary>
    public static IReadOnlyDictionary<string, (Setup Setup, string Caught)> All { get; } =
        new Dictionary<string, (Setup Setup, string Caught)>(StringComparer.Ordinal)
        {
            ["arm band between the positions"] = (Clean.WithArm(f => Band(f, 1200, 1800)), "can-fly"),
            ["arm band at the safe end"] = (Clean.WithArm(f => Band(f, 900, 1300)), "safe-end-is-safe"),
            ["beeper band over two positions"] = (
                Clean.WithFunction("beeper", f => f with { Low = new Microseconds(1250) }),
                "functions-reachable"
            ),
            ["level band that misses its position"] = (
                Clean.WithFunction("blended", f => f with { High = new Microseconds(1450) }),
                "functions-reachable"
            ),
            ["a link with two steps for three modes"] = (
                Clean.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(6), 2) }),
                "functions-reachable"
            ),
            ["the signal quality on the arm channel"] = (
                Clean.WithAir(a => a with { Receiver = a.Receiver with { QualityOn = 5 } }),
                "finding quality-overwrites"
            ),
            ["another switch arms"] = (
                Clean.WithChannel("arm", c => c with { Take = Hand("left-front-outer") }),
                "one-control-arms"
            ),
            ["channel order of another board"] = (Demo.Sandpiper, "quiet-start"),
            ["latch lets go too early"] = (
                Clean.WithCondition("cut-held", Latch(Holds("cut-on"), Not(Holds("cut-on")))),
                "no-switch-adds-thrust"
            ),
            ["cut without a latch"] = (
                Clean.InModel(m => m with { Overrides = m.Overrides.Set("cut", o => o with { When = "cut-on" }) }),
                "safe-end-is-safe"
            ),
            ["override not enabled"] = (
                Clean.InModel(m => m with { Overrides = m.Overrides.Set("cut", o => o with { Enabled = false }) }),
                "finding override-not-enabled:cut"
            ),
            ["override that lifts the throttle"] = (
                Clean.WithOverride("throttle", "limiter-on", 0),
                "no-switch-adds-thrust"
            ),
            ["override in the wrong order"] = (
                Clean
                    .WithOverride("throttle", "tracker-on", -20)
                    .InModel(m =>
                        m with
                        {
                            Overrides = m.Overrides.Set("throttle-tracker-on", o => o with { Order = 1 }),
                        }
                    ),
                "no-switch-adds-thrust"
            ),
            ["override that arms"] = (Clean.WithOverride("arm", "limiter-on", 100), "one-control-arms"),
            ["telemetry that arms"] = (Clean.WithOverride("arm", "far-out", 100), "no-delayed-arming"),
            ["a switch that also disarms"] = (Clean.WithOverride("arm", "limiter-on", -100), "no-accidental-stop"),
            ["a timer that disarms"] = (Clean.WithOverride("arm", "far-out", -100), "no-accidental-stop"),
            ["guard against a raised throttle off"] = (
                Clean.WithGuards(g => g with { RefusesThrottle = false }),
                "throttle-low-at-arming"
            ),
            ["refusals that do not stand"] = (
                Clean.WithGuards(g => g with { RefusalLatches = false }),
                "no-delayed-arming"
            ),
            ["disarming only at low throttle"] = (
                Clean.WithGuards(g => g with { DisarmsOnlyWhenLow = true }),
                "stop-works"
            ),
            ["start position armed"] = (
                Clean.WithControl("left-shoulder", c => (SwitchControl)c with { Start = 2 }),
                "finding unquiet-start:left-shoulder"
            ),
            ["receiver that holds"] = (Clean.WithAir(a => a with { OnLoss = ReceiverLoss.Hold }), "loss-is-handled"),
            ["preset with arm on"] = (Presets((1, 990), (5, 1900)), "quiet-receiver"),
            ["preset without the throttle"] = (Presets((5, 1100)), "quiet-receiver"),
            // Disarmed meanwhile, the switch is still on when the radio is back: a rising request.
            ["a preset that trembles across the low limit"] = (
                Trembling(Presets((1, 1000), (5, 1100))),
                "quiet-receiver"
            ),
            ["preset that disarms"] = (Presets((1, 990), (5, 1100)), "no-delayed-arming"),
            ["preset that disarms, restarted"] = (Presets((1, 990), (5, 1100)), "restart-stays-off"),
            ["shared reserved channel"] = (
                Clean
                    .WithAir(a => a with { ReservesArmChannel = true })
                    .WithFunction("beeper", f => f with { Aux = 1 }),
                "finding reserved-channel-shared:beeper"
            ),
            ["throttle cut on a mode switch"] = (
                Clean.WithFunction("blended", f => f with { Kind = FunctionKind.ThrottleCut }),
                "no-leap"
            ),
            ["throttle reversed"] = (
                Clean.WithChannel("throttle", c => c with { Output = c.Output with { Reverse = true } }),
                "can-fly"
            ),
            ["throttle on a dial"] = (
                Clean.WithChannel("throttle", c => c with { Take = Hand("left-dial") }),
                "no-switch-adds-thrust"
            ),
            ["throttle with a dip"] = (
                Clean.WithStep(
                    "throttle",
                    "dip",
                    new CurveStep { Order = 1, Points = Points((-100, -100), (0, 20), (30, 0), (100, 100)) }
                ),
                "can-fly"
            ),
            ["throttle set by a flight state"] = (
                Clean.WithStep(
                    "throttle",
                    "state",
                    new StateStep
                    {
                        Order = 99,
                        Values = ImmutableDictionary<string, Percent>.Empty.Add("rescue", new Percent(0)),
                    }
                ),
                "no-switch-adds-thrust"
            ),
            ["throttle-low limit below the low end"] = (
                Clean.WithBoard(b => b with { ThrottleLow = new Microseconds(985) }),
                "can-fly"
            ),
            ["stabilisation at zero throttle on a switch"] = (
                Clean.WithFunction("blended", f => f with { Kind = FunctionKind.ZeroThrottleStabilisation }),
                "no-switch-adds-thrust"
            ),
            ["self-right out of reach"] = (
                Clean.WithFunction("self-right", f => Band(f, 1255, 1300)),
                "functions-reachable"
            ),
            ["function on a channel that does not arrive"] = (
                Clean.WithFunction("beeper", f => f with { Aux = 16 }),
                "functions-reachable"
            ),
            ["arm switch with a delay"] = (
                Clean
                    .WithCondition("asked", new DelayTest { Of = [At("left-shoulder", 2)], OnAfter = new(900) })
                    .WithChannel("arm", c => c with { Take = new ConditionSource { Condition = "asked" } }),
                "no-delayed-arming"
            ),
            ["disarming that waits"] = (
                Clean
                    .WithCondition("asked", new DelayTest { Of = [At("left-shoulder", 2)], OffAfter = new(900) })
                    .WithChannel("arm", c => c with { Take = new ConditionSource { Condition = "asked" } }),
                "stop-works"
            ),
            ["consent that nobody gives"] = (
                Clean.WithFunction("lamp", f => f with { Kind = FunctionKind.ArmConsent, Aux = 12 }),
                "can-fly"
            ),
            ["tuning on the arm channel"] = (
                Clean.WithFunction("lamp", f => f with { Kind = FunctionKind.AutomaticTune, Aux = 1 }),
                "can-fly"
            ),
            ["throttle that is held up"] = (
                Clean.WithStep("throttle", "held", new LimitStep { Order = 99, Low = new(-60) }),
                "finding throttle-never-low"
            ),
            ["throttle times a dial"] = (
                Clean.WithStep(
                    "throttle",
                    "times",
                    new MultiplyStep { Order = 99, With = With(Hand("left-dial"), 50, 50) }
                ),
                "no-switch-adds-thrust"
            ),
            ["the switch announces arming"] = (
                Clean
                    .WithCondition("asked", At("left-shoulder", 2))
                    .WithAnnouncement("armed", a => a with { When = "asked" }),
                "changes-announced"
            ),
            ["disarming that nothing announces"] = (
                Clean.WithAnnouncement("disarmed", a => a with { Enabled = false }),
                "changes-announced"
            ),
            ["a mode announced under another's name"] = (
                Demo.Wren.WithCondition("levels", At("right-front-inner", 2))
                    .WithAnnouncement("self-level", a => a with { When = "levels" }),
                "changes-announced"
            ),
            ["a mode that waits for a position fix, announced by its switch"] = (
                Clean.WithAnnouncement("coming-home", a => a with { When = "come-home" }),
                "changes-announced"
            ),
            ["a shadowed mode announced by its switch"] = (
                Clean
                    .WithCondition("levels", At("right-front-inner", 1))
                    .WithAnnouncement("self-level", a => a with { When = "levels" }),
                "changes-announced"
            ),
            ["a loss that nothing announces"] = (
                Clean.WithAnnouncement("signal-lost", a => a with { When = "far-out" }),
                "changes-announced"
            ),
            ["a link without telemetry"] = (Clean.WithAir(a => a with { Telemetry = false }), "changes-announced"),
            ["a cut that no control reaches, in place of a stop"] = (
                Clean
                    .WithGuards(g => g with { DisarmsOnlyWhenLow = true })
                    .WithExtra("cut", FunctionKind.ThrottleCut, "right-shoulder", 12, 2),
                "stop-works"
            ),
            ["a switch that stops under the name of a cut which it does not reach"] = (
                Clean
                    .WithOverride("arm", "limiter-on", -100)
                    .WithExtra("cut", FunctionKind.ThrottleCut, "right-front-outer", 12, 3),
                "no-accidental-stop"
            ),
            ["a button that arms and does not let go"] = (
                Clean
                    .WithCondition(
                        "asked",
                        Latch(new PressTest { Control = "left-button", AtLeast = new(500) }, At("left-shoulder", 2))
                    )
                    .WithChannel("arm", c => c with { Take = new ConditionSource { Condition = "asked" } })
                    .WithArm(f => f with { Control = "left-button", Planned = [] }),
                "stop-works"
            ),
            ["something that holds the arm channel against its switch"] = (
                Clean
                    .WithCondition("both", All(Holds("limiter-on"), Holds("tracker-on")))
                    .WithOverride("arm", "both", 100),
                "stop-works"
            ),
            ["a consent that arms instead"] = (
                Clean
                    .WithCondition("agrees", At("right-shoulder", 2))
                    .WithOverride("arm", "agrees", 100)
                    .WithExtra("consent", FunctionKind.ArmConsent, "right-shoulder", 5, 2),
                "one-control-arms"
            ),
            ["a full battery that lifts the throttle"] = (
                Clean
                    .WithCondition(
                        "full",
                        new DelayTest { Of = [Reads("voltage", Relation.Above, 20)], OnAfter = new(2000) }
                    )
                    .WithOverride("throttle", "full", 100),
                "quiet-start"
            ),
            ["a battery that reads nothing yet lifts the throttle"] = (
                Clean.WithCondition("none", Reads("voltage", Relation.Below, 5)).WithOverride("throttle", "none", 50),
                "quiet-start"
            ),
            ["telemetry that stays away lifts the throttle"] = (
                Clean.WithCondition("away", new TelemetryLostTest()).WithOverride("throttle", "away", 50),
                "quiet-start"
            ),
            ["two times that end together"] = (Together(Clean, 1000, 1000, both: true), "no-switch-adds-thrust"),
            ["the longer of two times"] = (Together(Clean, 3000, 1000, both: false), "no-switch-adds-thrust"),
            ["a lock in the transmitter alone"] = (
                Clean
                    .WithGuards(g => g with { RefusesThrottle = false })
                    .ReadyMade("throttle-lock", ("arm", "left-shoulder:2")),
                "throttle-low-at-arming"
            ),
            ["frames that are missing hide the throttle"] = (
                Clean
                    .WithGuards(g => g with { RefusesThrottle = false })
                    .ReadyMade("throttle-lock", ("arm", "left-shoulder:2")),
                "no-leap"
            ),
            ["landing from the ground"] = (
                Clean.WithLoss(l => l with { Procedure = LossProcedure.Land }),
                "thrust-by-stick-alone"
            ),
            ["flying home from the ground"] = (
                Clean.WithLoss(l => l with { Procedure = LossProcedure.ReturnHome, LowBefore = new(9000) }),
                "thrust-by-stick-alone"
            ),
            ["the loss procedure by hand, from the ground"] = (
                Clean
                    .WithLoss(l => l with { Procedure = LossProcedure.Land, LowBefore = new(200) })
                    .WithExtra("lost", FunctionKind.LossProcedure, "right-shoulder", 5, 2),
                "thrust-by-stick-alone"
            ),
            ["a function that is taken away for ever"] = (
                Demo.Wren.WithFunction("beeper", f => f with { Planned = [3] })
                    .WithCondition(
                        "always",
                        new DelayTest { Of = [Reads("voltage", Relation.Below, 20)], OnAfter = new(3000) }
                    )
                    .WithOverride("beeper", "always", -100),
                "functions-reachable"
            ),
            ["a mode that telemetry switches off"] = (
                Clean
                    .WithCondition("far", Reads("distance", Relation.Above, 700))
                    .WithStep(
                        "mode",
                        "away",
                        new ScaleStep
                        {
                            Order = 1,
                            Scale = new(0),
                            When = "far",
                        }
                    ),
                "functions-reachable"
            ),
            ["a transmitter that restarts while the board waits"] = (
                Clean.WithLoss(l => l with { Grace = new(2000) }),
                "no-leap"
            ),
            ["a transmitter that restarts unnoticed"] = (
                Clean.WithBoard(b => b with { SignalTimeout = new(900) }),
                "no-switch-adds-thrust"
            ),
            ["a loss that is noticed late"] = (
                Clean.WithBoard(b => b with { SignalTimeout = new(1500) }),
                "loss-in-time"
            ),
            ["a grace that is too long"] = (
                SlowToStart(Clean).WithLoss(l => l with { Grace = new(900) }),
                "loss-in-time"
            ),
            ["a limit that the board does not keep"] = (
                Clean with
                {
                    Limits = new PilotLimits { LossNoticedWithin = new(150) },
                },
                "loss-in-time"
            ),
            ["a receiver that hides the loss"] = (Presets((1, 990)), "loss-in-time"),
            ["a timer that lost telemetry resets"] = (ResetBy(new TelemetryLostTest()), "timers-kept"),
            ["a timer that a button resets in flight"] = (ResetBy(Pressed("left-button")), "timers-kept"),
            ["a timer that asks another switch for disarmed"] = (
                ResetBy(All(Pressed("left-button"), At("left-back-switch", 1))),
                "timers-kept"
            ),
            ["a timer that telemetry resets as it comes back"] = (ResetBy(Not(new TelemetryLostTest())), "timers-kept"),
            ["loss procedure for ever"] = (
                CleanWren.WithFunction("lamp", f => Band(f, 900, 2100) with { Kind = FunctionKind.LossProcedure }),
                "can-fly"
            ),
        }
            .Concat(ThrottleFaults.All)
            .ToDictionary(f => f.Key, f => f.Value, StringComparer.Ordinal);
}
