using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;
using static Zephyros.Core.Tests.Proof.PlantedParts;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Changes of two clean demo setups that break nothing; what makes a proof large is changed on the smaller one.</summary>
internal static class HarmlessVariants
{
    /// <summary>Changes that keep every promise.</summary>
    public static IReadOnlyDictionary<string, Setup> All { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["nothing changed"] = Clean,
            ["names changed"] = Clean.WithControl("left-shoulder", c => c with { Alias = "Wing" }),
            ["arm band a little wider"] = Clean.WithArm(f => Band(f, 1650, 2125)),
            ["tilt guard lifted"] = CleanWren.WithGuards(g => g with { TiltLimit = null }),
            ["arming while connected"] = CleanWren.WithGuards(g => g with { RefusesConnected = false }),
            ["calibration"] = CleanWren.WithGuards(g => g with { Calibration = new(1500) }),
            ["disarms by itself"] = CleanWren.WithGuards(g => g with { DisarmsAfter = new(8000) }),
            // A transmitter that restarts while the board waits forgets the latch of its throttle cut.
            ["grace on last values, a slow transmitter"] = SlowToStart(Clean)
                .WithLoss(l => l with { Grace = new(700) }),
            ["grace on substituted values, a slow transmitter"] = SlowToStart(Clean)
                .WithLoss(l => l with { Grace = new(700), GraceValues = GraceValues.Substituted }),
            ["landing once it has flown"] = CleanWren.WithLoss(l =>
                l with
                {
                    Procedure = LossProcedure.Land,
                    FlownOnly = true,
                }
            ),
            ["landing until a stick is moved"] = CleanWren.WithLoss(l =>
                l with
                {
                    Procedure = LossProcedure.Land,
                    Recovery = FlightRecovery.StickMoved,
                    FlownOnly = true,
                }
            ),
            ["return home once it has flown"] = CleanWren
                .Located()
                .WithLoss(l =>
                    l with
                    {
                        Procedure = LossProcedure.ReturnHome,
                        LowBefore = new(9000),
                        FlownOnly = true,
                    }
                ),
            ["two equal times of which one must be over first"] = Together(CleanWren, 1000, 1000, both: false),
            ["the shorter of two times, not yet over"] = Together(CleanWren, 1000, 3000, both: true),
            ["a throttle cut as it comes ready-made"] = CleanWren.ReadyMade(
                "throttle-cut",
                ("cut", "right-back-switch:2")
            ),
            ["two-stage arming as it comes ready-made"] = CleanWren.ReadyMade(
                "two-stage-arming",
                ("second", "left-back-switch:2"),
                ("limit", "1060")
            ),
            ["a beeper that a switch takes away"] = CleanWren
                .InModel(m => m with { Overrides = m.Overrides.Remove("beep") })
                .WithBoard(b => b with { Functions = b.Functions.Remove("self-right") })
                .WithFunction("beeper", f => f with { Planned = [3] })
                .WithCondition("hush", At("right-back-switch", 2))
                .WithOverride("beeper", "hush", -100),
            ["a restart that forgets nothing"] = CleanWren.WithLoss(l => l with { Grace = new(700) }),
            ["a loss that is noticed just in time"] = SlowToStart(CleanWren)
                .WithBoard(b => b with { SignalTimeout = new(1000) }),
            ["a throttle that is steep, and less than allowed"] = CleanWren.WithStep(
                "throttle",
                "steep",
                new CurveStep
                {
                    Order = 1,
                    Points = Points((-100, -100), (-80, -20), (100, 100)),
                    Smooth = false,
                }
            ),
            ["a roll that trembles a little"] = CleanWren.WithBoard(b =>
                b with
                {
                    Wander = b.Wander.Add(new(1), new(1)),
                }
            ),
            ["a roll that moves slowly"] = CleanWren.WithStep(
                "roll",
                "slow",
                new SlowStep
                {
                    Order = 9,
                    Up = new(400),
                    Down = new(400),
                }
            ),
            ["calibration that takes long"] = CleanWren.WithGuards(g => g with { Calibration = new(3000) }),
            ["another order, on both sides"] = Clean
                .WithChannel("throttle", c => c with { Number = new ChannelNumber(3) })
                .WithChannel("pitch", c => c with { Number = new ChannelNumber(2) })
                .WithChannel("roll", c => c with { Number = new ChannelNumber(1) })
                .WithBoard(b => b with { Map = StickOrder.Parse("AETR") }),
            ["arming towards the pilot"] = Clean
                .WithControl("left-shoulder", c => (SwitchControl)c with { Start = 2, Safe = 2 })
                .WithArm(f => Band(f, 900, 1300) with { Planned = [1] })
                .WithCondition("arm-on", At("left-shoulder", 1)),
            ["a link with few steps"] = Clean.WithAir(a =>
                a with
                {
                    ReservesArmChannel = true,
                    ChannelSteps = a.ChannelSteps.Add(new(6), 3).Add(new(7), 64),
                }
            ),
            ["the signal quality by the receiver"] = QualityEdits
                .ByReceiver(
                    Clean.InModel(m => m with { Channels = m.Channels.Remove("quality") }),
                    new ChannelNumber(11)
                )
                .ApplyTo(Clean.InModel(m => m with { Channels = m.Channels.Remove("quality") }))
                .Setup!,
            ["nothing planned"] = Clean.WithFunction("beeper", f => f with { Planned = [] }),
            ["a lock in the transmitter"] = Clean.ReadyMade("throttle-lock", ("arm", "left-shoulder:2")),
            ["a loss announced by a condition"] = CleanWren
                .WithCondition("silence", new DelayTest { Of = [new TelemetryLostTest()], OnAfter = new(500) })
                .WithAnnouncement("signal-lost", a => a with { When = "silence", Every = new(2000) }),
            ["modes announced by their switch"] = CleanWren
                .WithCondition("levels", At("right-front-inner", 1))
                .WithCondition("blends", At("right-front-inner", 2))
                .WithAnnouncement("self-level", a => a with { When = "levels" })
                .WithAnnouncement("blended", a => a with { When = "blends" }),
            ["throttle held below its end"] = Clean.WithStep(
                "throttle",
                "held",
                new LimitStep { Order = 99, High = new(80) }
            ),
            ["yaw at two rates"] = CleanWren.WithStep(
                "yaw",
                "times",
                new MultiplyStep { Order = 99, With = With(Hand("right-shoulder"), 25, 75) }
            ),
            ["tuning on a switch of its own"] = CleanWren.WithFunction(
                "beeper",
                f => f with { Kind = FunctionKind.AutomaticTune }
            ),
            ["a camera that is faster"] = Clean.InModel(m =>
                m with
                {
                    Channels = m.Channels.Set("camera", c => c with { Steps = c.Steps.Remove("slow") }),
                }
            ),
            ["a function that ten more sensors have a say in"] = CalledHomeByMore(10),
            ["a timer that a button resets while disarmed"] = ResetBy(
                All(Pressed("left-button"), Not(Holds("arm-on")))
            ),
            ["a timer that disarming resets"] = ResetBy(Not(Holds("arm-on"))),
            ["a yaw that is trimmed"] = Clean.InModel(m => m with { Trims = m.Trims.Add("yaw", new Percent(1)) }),
        };

    // Any of these sensors above its limit calls the craft home as well.
    private static Setup CalledHomeByMore(int sensors)
    {
        string[] ids = [.. Enumerable.Range(1, sensors).Select(i => $"more-{i}")];
        var calls = (AnyTest)Clean.Model.Conditions["come-home"].Test;
        return Clean
            .InModel(m =>
                m with
                {
                    Sensors = m.Sensors.AddRange(
                        ids.Select(id =>
                            KeyValuePair.Create(
                                id,
                                new Sensor
                                {
                                    Label = id,
                                    Lowest = new(0),
                                    Highest = new(100),
                                    Bench = new(50),
                                }
                            )
                        )
                    ),
                }
            )
            .WithCondition(
                "come-home",
                calls with
                {
                    Of = [.. calls.Of, .. ids.Select(id => Reads(id, Relation.Above, 90))],
                }
            );
    }
}
