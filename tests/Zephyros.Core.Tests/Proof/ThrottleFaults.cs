using System.Collections.Immutable;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;
using static Zephyros.Core.Tests.Proof.PlantedParts;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Faults planted in the way of the throttle: it falls, leaps, stays, or is taken away. <see cref="ProofFaults"/> has the others.</summary>
internal static class ThrottleFaults
{
    /// <summary>What is planted, and the code of the promise that catches it.</summary>
    public static IReadOnlyDictionary<string, (Setup Setup, string Caught)> All { get; } =
        new Dictionary<string, (Setup Setup, string Caught)>(StringComparer.Ordinal)
        {
            ["a dip narrower than any sample"] = (Clean.WithStep("throttle", "dip", Dip(0.4)), "can-fly"),
            ["a dip with two switches together"] = (
                Clean
                    .WithCondition("both", All(Holds("tracker-on"), At("right-shoulder", 2)))
                    .WithStep("throttle", "dip", Dip(4) with { When = "both" }),
                "can-fly"
            ),
            ["a dip by telemetry"] = (
                Clean
                    .WithCondition("far", Reads("distance", Relation.Above, 700))
                    .WithStep("throttle", "dip", Dip(4) with { When = "far" }),
                "can-fly"
            ),
            ["a dip where a condition on the stick changes the chain"] = (
                Clean
                    .WithCondition("up", Above(Hand("throttle"), 40))
                    .WithStep("throttle", "share", Share(60) with { When = "up" }),
                "can-fly"
            ),
            ["a dip where stick and dial together change the chain"] = (
                Clean
                    .InModel(m =>
                        m with
                        {
                            Channels = m.Channels.Add(
                                "sum",
                                new Channel
                                {
                                    Number = new ChannelNumber(13),
                                    Label = "Sum",
                                    Take = Hand("throttle"),
                                }
                            ),
                        }
                    )
                    .WithStep("sum", "dial", new AddStep { Order = 1, With = With(Hand("right-dial")) })
                    .WithCondition("up", Above(new ChannelSource { Channel = "sum" }, 40))
                    .WithStep("throttle", "share", Share(60) with { When = "up" }),
                "can-fly"
            ),
            ["a full throttle that stays"] = (
                Clean
                    .WithCondition("full", Latch(Above(Hand("throttle"), 90), Holds("cut-on")))
                    .WithOverride("throttle", "full", 100),
                "stick-down-idles"
            ),
            ["telemetry that holds the throttle up"] = (
                Clean.WithOverride("throttle", "far-out", 20),
                "stick-down-idles"
            ),
            ["telemetry that takes the thrust away"] = (
                Clean
                    .WithCondition("weak", Reads("voltage", Relation.Below, 18))
                    .WithOverride("throttle", "weak", -100),
                "thrust-stays"
            ),
            ["a switch that takes the thrust away"] = (
                Clean.WithStep(
                    "throttle",
                    "away",
                    new ScaleStep
                    {
                        Order = 50,
                        Scale = new(0),
                        Shift = new(-100),
                        When = "tracker-on",
                    }
                ),
                "thrust-stays"
            ),
            ["a timer that takes the thrust away"] = (
                Clean
                    .WithCondition("long", new DelayTest { Of = [At("left-shoulder", 2)], OnAfter = new(60_000) })
                    .WithOverride("throttle", "long", -100),
                "thrust-stays"
            ),
            ["a flight state that takes the thrust away"] = (
                CleanWren.WithStep(
                    "throttle",
                    "state",
                    new StateStep
                    {
                        Order = 99,
                        Values = ImmutableDictionary<string, Percent>.Empty.Add("land", Percent.Low),
                    }
                ),
                "thrust-stays"
            ),
            ["a throttle that leaps at its low end"] = (
                Clean.WithStep(
                    "throttle",
                    "leap",
                    new CurveStep
                    {
                        Order = 1,
                        Points = Points((-100, -100), (-97, 60), (100, 100)),
                        Smooth = false,
                    }
                ),
                "no-jump"
            ),
            ["a throttle that leaps where a condition begins"] = (
                Clean
                    .WithCondition("up", Above(Hand("throttle"), 0))
                    .WithStep("throttle", "more", Shifted(1, 70, "up")),
                "no-jump"
            ),
            ["a throttle that leaps when its stick comes below a place, once"] = (
                Demo.Plain.WithCondition("dipped", Latch(Below(Hand("throttle"), -20), At("left-shoulder", 1)))
                    .WithStep("throttle", "more", Shifted(1, 70, "dipped")),
                "no-jump"
            ),
            ["a throttle that leaps twice on the way of one movement"] = (
                Demo.Plain.WithCondition(
                        "passed",
                        Latch(All(Above(Hand("throttle"), 0), Below(Hand("throttle"), 2)), At("left-shoulder", 1))
                    )
                    .WithCondition("beyond", All(Holds("passed"), Above(Hand("throttle"), 4)))
                    .WithStep("throttle", "first", Shifted(1, 40, "passed"))
                    .WithStep("throttle", "second", Shifted(2, 40, "beyond")),
                "no-jump"
            ),
        };
}
