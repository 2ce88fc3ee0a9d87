using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Faults of what comes back, and alarms that are as they should be: the plain setup with the battery, sensors and alarm of Sandpiper.</summary>
internal static class ReturnFaults
{
    /// <summary>Six cells, an alarm below 22.2 V for 3 s, with a mask, said every 4 s.</summary>
    public static Setup Right { get; } =
        (FaultGround.Full with { Craft = Demo.Sandpiper.Craft })
            .ReadyMade("flight-timer", ("arm", "left-shoulder:2"))
            .InModel(m =>
                m with
                {
                    Conditions = m.Conditions.SetItem("battery-low", Demo.Sandpiper.Model.Conditions["battery-low"]),
                    Announcements = m.Announcements.SetItem("battery", Demo.Sandpiper.Model.Announcements["battery"]),
                }
            );

    /// <summary>The same alarm at another level, without the mask where that is wanted.</summary>
    public static Setup At(double level, bool masked = true, double wait = 3000) => Asking(Low(level, masked), wait);

    public static Setup Asking(Test low, double wait = 3000) =>
        Right.WithCondition("battery-low", wait > 0 ? new DelayTest { Of = [low], OnAfter = new(wait) } : low);

    public static Setup Spoken(Func<Announcement, Announcement> change) => Right.WithAnnouncement("battery", change);

    public static Setup Way(Func<WayHome, WayHome> change) =>
        Right with
        {
            Craft = Right.Craft with { WayHome = change(Right.Craft.WayHome!) },
        };

    public static Setup Voltage(Func<Sensor, Sensor> change) =>
        Right.InModel(m => m with { Sensors = m.Sensors.Set("voltage", change) });

    /// <summary>A voltage of the receiver is asked instead of the battery's.</summary>
    public static Setup OfReceiver =>
        Right
            .InModel(m =>
                m with
                {
                    Sensors = m.Sensors.Add(
                        "supply",
                        m.Sensors["voltage"] with
                        {
                            Label = "Supply",
                            Origin = SensorOrigin.Receiver,
                        }
                    ),
                }
            )
            .WithCondition(
                "battery-low",
                All(Sensed("supply", Relation.Above, 9), Sensed("supply", Relation.Below, 22.2))
            );

    /// <summary>The strength at the receiver.</summary>
    public static Sensor Strength { get; } =
        new()
        {
            Label = "Strength",
            Unit = "dBm",
            Measures = SensorSubject.Strength,
            Lowest = new(-120),
            Highest = new(0),
            Bench = new(-40),
        };

    /// <summary>The warning of something else.</summary>
    public static Setup Weak(double below, double allowance, SensorSubject instead) =>
        Weak(below, allowance)
            .InModel(m =>
                m with
                {
                    Sensors = m.Sensors.Add(
                        "instead",
                        instead == SensorSubject.Strength
                            ? Strength
                            : m.Sensors["quality"] with
                            {
                                Label = "Way back",
                                Measures = instead,
                            }
                    ),
                }
            )
            .WithCondition("signal-low", Sensed("instead", Relation.Below, below));

    /// <summary>A warning of a weak link at a quality, where a range check found that the surroundings take so many decibels.</summary>
    public static Setup Weak(double below, double allowance) =>
        Right
            .WithAir(a => a with { Allowance = new(allowance) })
            .WithCondition("signal-low", Sensed("quality", Relation.Below, below))
            .WithWarning("signal-low", "Signal low");

    public static Setup Silent(ReportWay? way) => Right.WithBoard(b => b with { Reports = way });

    public static Setup Equipped(Func<BoardEquipment, BoardEquipment> change) =>
        Right.WithBoard(b => b with { Equipment = change(b.Equipment) });

    private static Test Low(double level, bool masked) =>
        masked
            ? All(Sensed("voltage", Relation.Above, 4), Sensed("voltage", Relation.Below, level))
            : Sensed("voltage", Relation.Below, level);

    public static IReadOnlyDictionary<string, Setup> Faults { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["battery-level-off:battery-low"] = At(4.1),
            ["battery-alarm-unmasked:battery-low"] = At(22.2, masked: false, wait: 1000),
            ["alarm-said-once:battery"] = Spoken(a => a with { Every = null }),
            ["alarm-too-late:battery-low"] = At(20.4),
            ["alarm-too-late:wind"] = Way(w => w with { Wind = new(14) }),
            ["voltage-of-wrong-origin:battery-low"] = OfReceiver,
            ["sensor-stays-away:voltage"] = Silent(ReportWay.Off),
            ["sensor-stays-away:distance"] = Equipped(e => e with { PositionReceiver = false })
                .WithCondition("far", Sensed("distance", Relation.Above, 900)),
            ["more-decimals-than-accuracy:voltage"] = Voltage(v =>
                v with
                {
                    Decimals = 2,
                    Accuracy = new Reading(0.1),
                }
            ),
            ["warning-with-loss:signal-low"] = Weak(40, 44),
            ["alarm-left-raised:battery-low"] = Right.InModel(m =>
                m with
                {
                    Raised = m.Raised.Add("battery-low", new(25)),
                }
            ),
        };

    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["a warning ten seconds before the loss"] = Weak(75, 38),
            ["an early warning beside a late one"] = Weak(75, 38)
                .WithCondition("late", Sensed("quality", Relation.Below, 20))
                .WithWarning("late", "Late"),
            ["an alarm as it should be"] = Right,
            ["an alarm just above what the way home needs"] = At(21.95),
            ["no mask, and a delay that is longer than the 0 V of power-up"] = At(22.2, masked: false),
            ["a craft whose battery is not written down"] = At(18.6) with
            {
                Craft = Demo.Sandpiper.Craft with { Battery = null },
            },
            ["a way home that nothing is asked of"] = Way(w => w with { Distance = new(0), Height = new(0) }),
            ["as many decimals as the accuracy has"] = Voltage(v =>
                v with
                {
                    Decimals = 1,
                    Accuracy = new Reading(0.1),
                }
            ),
            ["a piece that nothing asks for is missing"] = Equipped(e => e with { Barometer = false }),
            ["a board that reports over a wire of its own"] = Silent(ReportWay.OwnWire),
        };
}
