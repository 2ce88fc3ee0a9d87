using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
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
                All(
                    PlantedFaults.Sensed("supply", Relation.Above, 9),
                    PlantedFaults.Sensed("supply", Relation.Below, 22.2)
                )
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
            .WithCondition("signal-low", PlantedFaults.Sensed("instead", Relation.Below, below));

    /// <summary>A warning of a weak link at a quality, where a range check found that the surroundings take so many decibels.</summary>
    public static Setup Weak(double below, double allowance) =>
        Right
            .WithAir(a => a with { Allowance = new(allowance) })
            .WithCondition("signal-low", PlantedFaults.Sensed("quality", Relation.Below, below))
            .InModel(m =>
                m with
                {
                    Announcements = m.Announcements.Add(
                        "signal-low",
                        new Announcement
                        {
                            Says = "Signal low",
                            About = AnnouncementSubject.Other,
                            When = "signal-low",
                            Every = new(3000),
                        }
                    ),
                }
            );

    public static Setup Silent(ReportWay? way) => Right.WithBoard(b => b with { Reports = way });

    public static Setup Equipped(Func<BoardEquipment, BoardEquipment> change) =>
        Right.WithBoard(b => b with { Equipment = change(b.Equipment) });

    private static Test Low(double level, bool masked) =>
        masked
            ? All(
                PlantedFaults.Sensed("voltage", Relation.Above, 4),
                PlantedFaults.Sensed("voltage", Relation.Below, level)
            )
            : PlantedFaults.Sensed("voltage", Relation.Below, level);
}
