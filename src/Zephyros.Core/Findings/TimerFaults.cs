using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Timers;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Findings;

/// <summary>What the rules about timers have in common.</summary>
internal static class TimerFaults
{
    /// <summary>The timers of a setup by id, each with what it does in a flight; nothing there when no switch arms.</summary>
    public static IEnumerable<(string Id, FlightTimer Timer, IReadOnlyList<TimerMoment>? Flight)> Timers(
        SignalPlan plan
    ) =>
        from timer in plan.Setup.Model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal)
        select (timer.Key, timer.Value, TimerTrial.Of(plan, timer.Value));

    /// <summary>The fix that resets a timer when disarmed and without telemetry together; none where no switch arms, or no telemetry comes.</summary>
    public static IReadOnlyList<Fix> ResetUnplugged(SignalPlan plan, string id)
    {
        var setup = plan.Setup;
        if (Arming(plan) is not { } arm || !setup.Air.Telemetry)
            return [];
        var timer = setup.Model.Timers[id];
        var work = new Workshop(setup);
        var reset = new TimerReset
        {
            When = TimerChain.BatteryUnplugged(work, arm),
            Readings = timer.Reset?.Readings ?? false,
        };
        return
        [
            Changing(
                setup,
                work.Setup,
                "unplugged",
                "The battery that is unplugged resets it: disarmed and without telemetry together.",
                $"{timer.Label} begins anew when the battery is unplugged",
                id,
                timer with
                {
                    Reset = reset,
                }
            ),
        ];
    }

    /// <summary>The fix that changes a timer, in a setup to which what it needs was added.</summary>
    public static Fix Changing(
        Setup before,
        Setup with,
        string fix,
        string description,
        string title,
        string id,
        FlightTimer timer
    ) =>
        new(
            fix,
            description,
            SetupEdit.Between(
                title,
                before,
                with with
                {
                    Model = with.Model with { Timers = with.Model.Timers.SetItem(id, timer) },
                }
            )
        );

    /// <summary>The positions of the switch that arms; null when no switch does.</summary>
    public static ControlPositions? Arming(SignalPlan plan) =>
        TimerTrial.Arming(plan) is { } arm ? new ControlPositions(arm.Control, [.. arm.On.Select(p => (int)p)]) : null;
}
