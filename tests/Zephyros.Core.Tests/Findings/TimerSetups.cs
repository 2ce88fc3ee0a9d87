using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Setups;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Timers that are as they should be, and others: the setup of <see cref="ReturnFaults"/> with its ready-made timer changed.</summary>
internal static class TimerSetups
{
    private const string Id = "flight-time";

    public static Setup With(Func<FlightTimer, FlightTimer> change) =>
        ReturnFaults.Right.InModel(m => m with { Timers = m.Timers.Set(Id, change) });

    /// <summary>It counts while something else holds.</summary>
    public static Setup While(Test counts) => With(t => t with { While = "other" }).WithCondition("other", counts);

    /// <summary>Something else resets it.</summary>
    public static Setup ResetBy(Test resets) =>
        With(t => t with { Reset = t.Reset! with { When = "other" } }).WithCondition("other", resets);

    /// <summary>No timer at all, and nothing of what one needs.</summary>
    public static Setup None =>
        ReturnFaults.Right.InModel(m =>
            m with
            {
                Timers = m.Timers.Clear(),
                Conditions = m.Conditions.RemoveRange([
                    "in-the-air",
                    "armed-at-low-throttle",
                    "throttle-raised",
                    "battery-unplugged",
                ]),
            }
        );

    /// <summary>A ready-made timer that is built otherwise.</summary>
    public static Setup Other(params (string Name, string Value)[] wanted) =>
        None.ReadyMade("flight-timer", [("arm", "left-shoulder:2"), .. wanted]);

    /// <summary>Other ways to the same findings, with what is then said.</summary>
    public static IReadOnlyDictionary<string, (Setup Setup, string Key)> Variants =>
        new Dictionary<string, (Setup, string)>(StringComparer.Ordinal)
        {
            ["Flight time counts while disarmed"] = (
                While(Any(Above(Hand("throttle"), -50), At("left-shoulder", 1))),
                "timer-starts-unarmed"
            ),
            ["The bare switch starts Flight time"] = (While(At("left-shoulder", 2)), "timer-starts-unarmed"),
            ["Nothing resets Flight time"] = (
                With(t => t with { Reset = t.Reset! with { Enabled = false } }),
                "timer-never-reset"
            ),
            ["Disarming alone resets Flight time"] = (ResetBy(At("left-shoulder", 1)), "timer-reset-too-soon"),
            ["Flight time is reset in flight"] = (ResetBy(Not(new TelemetryLostTest())), "timer-reset-too-soon"),
            ["Flight time ends unheard"] = (With(t => t with { From = new(60_000), Calls = [] }), "timer-call-missed"),
            ["Flight time passes some calls over"] = (
                With(t => t with { Calls = [new(0), new(60_000)] }),
                "timer-call-missed"
            ),
        };

    public static Setup ByButton(string button) => Other(("reset", "button"), ("button", button));

    public static IReadOnlyDictionary<string, Setup> Faults { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["timer-never-starts:flight-time"] = With(t => t with { While = null }),
            ["timer-starts-unarmed:flight-time"] = While(At("left-shoulder", 2)),
            ["timer-never-reset:flight-time"] = With(t => t with { Reset = null }),
            ["timer-reset-too-soon:flight-time"] = ResetBy(new TelemetryLostTest()),
            ["timer-call-missed:flight-time"] = With(t => t with { From = new(60_000) }),
            ["timer-button-shared:flight-time-left-button"] = ByButton("left-button")
                .WithChannel("beeper", c => c with { Take = Hand("left-button") }),
            ["no-timer-behind-voltage:battery-low"] = None,
        };

    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["a timer under load that counts down"] = Other(("school", "load"), ("from", "150")),
            ["a timer that a button resets"] = ByButton("left-button"),
            ["a timer that the next battery resets"] = Other(("school", "load"))
                .InModel(m =>
                    m with
                    {
                        Conditions = m.Conditions.Set(
                            "battery-unplugged",
                            c =>
                                c with
                                {
                                    Test = All(
                                        Latch(
                                            All(At("left-shoulder", 1), new TelemetryLostTest()),
                                            At("left-shoulder", 2)
                                        ),
                                        Not(new TelemetryLostTest())
                                    ),
                                }
                        ),
                    }
                ),
            ["a timer with either reset"] = Other(("reset", "both"), ("button", "right-button")),
        };
}
