using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Faults of what is spoken and of what warns of the signal, and the same as it should be.</summary>
internal static class VoiceSetups
{
    private static readonly Setup OnSwitch = Asked(("value", At("right-front-outer", 3)));

    public static IReadOnlyDictionary<string, Setup> Faults { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["repeat-too-quick:battery"] = ReturnFaults.Spoken(a => a with { Every = new(1500) }),
            ["values-together:one-two"] = Asked(
                ("one", At("right-front-outer", 2)),
                ("two", At("left-back-switch", 2))
            ),
            ["speaking-switch-flies:value-left-shoulder"] = Asked(("value", At("left-shoulder", 2))),
            ["spoken-at-rest:value"] = Asked(("value", At("right-front-outer", 1, 2))),
            ["lowest-taken-for-now:value"] = Reading(SpokenReading.Lowest, "Voltage"),
            ["alarm-without-value:battery"] = ReturnFaults.Spoken(a => a with { Value = null }),
            ["warnings-at-one-level:signal-low-urgent"] = Beside(75.4),
            ["signal-of-wrong-kind:signal-low"] = ReturnFaults.Weak(-70, 38, SensorSubject.Strength),
            ["signal-of-wrong-kind:down"] = ReturnFaults
                .Weak(75, 38, SensorSubject.DownLinkQuality)
                .Renamed("signal-low", "down"),
        };

    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["an alarm that is said again after its words"] = ReturnFaults.Spoken(a => a with { Every = new(2000) }),
            ["two values on one switch"] = Asked(
                ("one", At("right-front-outer", 2)),
                ("two", At("right-front-outer", 3))
            ),
            ["two values that have the time"] = Asked(
                    ("one", At("right-front-outer", 2)),
                    ("two", At("left-back-switch", 2))
                )
                .WithAnnouncement("one", a => a with { Every = new(9000) })
                .WithAnnouncement("two", a => a with { Every = new(9000) }),
            ["a value spoken while armed, and not by a switch"] = Asked(
                ("value", new LatchTest { Set = [At("left-shoulder", 2)], Clear = [At("left-shoulder", 1)] })
            ),
            ["a value where the switch does not rest"] = OnSwitch,
            ["a lowest reading that says so"] = Reading(SpokenReading.Lowest, "Lowest voltage"),
            ["a critical warning below the first"] = Beside(60),
            ["a warning of strength beside one of quality"] = ReturnFaults
                .Weak(75, 38)
                .InModel(m => m with { Sensors = m.Sensors.Add("strength", ReturnFaults.Strength) })
                .WithCondition("strong", Sensed("strength", Relation.Below, -70))
                .WithWarning("strong", "Strength low"),
        };

    private static Setup Reading(SpokenReading reading, string says) =>
        OnSwitch.WithAnnouncement(
            "value",
            a =>
                a with
                {
                    Says = says,
                    Value = new SpokenValue { Sensor = "voltage", Reading = reading },
                }
        );

    private static Setup Beside(double critical) =>
        ReturnFaults
            .Weak(75, 38)
            .WithCondition("urgent", Sensed("quality", Relation.Below, critical))
            .WithWarning("urgent", "Signal critical");

    // A condition under another id.
    private static Setup Renamed(this Setup setup, string id, string to) =>
        setup.InModel(m =>
            m with
            {
                Conditions = m.Conditions.Remove(id).Add(to, m.Conditions[id]),
                Announcements = m.Announcements.Set(id, a => a with { When = to }),
            }
        );

    // Voltage is spoken every four seconds while a condition holds.
    private static Setup Asked(params (string Id, Test Test)[] asked) =>
        asked.Aggregate(
            ReturnFaults.Right,
            (setup, one) =>
                setup
                    .WithCondition(one.Id, one.Test)
                    .InModel(m =>
                        m with
                        {
                            Announcements = m.Announcements.Add(
                                one.Id,
                                new Announcement
                                {
                                    Says = $"Voltage {one.Id}",
                                    About = AnnouncementSubject.Other,
                                    When = one.Id,
                                    Every = new Milliseconds(4000),
                                    Value = new SpokenValue { Sensor = "voltage" },
                                }
                            ),
                        }
                    )
        );
}
