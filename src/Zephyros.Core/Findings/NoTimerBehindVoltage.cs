using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Voltage is the only thing that tells when to come down: no timer stands behind it.</summary>
public sealed class NoTimerBehindVoltage : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        // One that counts down and is silent has a finding of its own.
        if (setup.Model.Timers.Values.Any(t => t.While is not null && (t.From is not null || !t.Calls.IsEmpty)))
            yield break;
        if (LevelTest.OfBattery(setup, SensorOrigin.Board).FirstOrDefault(t => t.Spoken(setup).Any()) is not { } alarm)
            yield break;
        yield return new Finding
        {
            Key = $"no-timer-behind-voltage:{alarm.Id}",
            Severity = Severity.Caution,
            Station = Station.Return,
            Place = $"/model/conditions/{alarm.Id}",
            Title = "Nothing warns of an empty battery but its voltage",
            What = $"“{alarm.Condition.Label}” speaks by {alarm.Sensor.Label}, and no timer calls out.",
            Why =
                "A reading that stops, or an alarm that was set wrong, leaves nothing behind it. A timer needs no telemetry.",
            Provenance = Provenance.Practice("a timer is the last safety net"),
            MayBeJustified = true,
            Fixes = [.. WithTimer(plan)],
        };
    }

    private static IEnumerable<Fix> WithTimer(SignalPlan plan)
    {
        if (TimerFaults.Arming(plan) is not { } arm)
            yield break;
        var chain = new TimerChain();
        var armed = new Dictionary<string, string>(StringComparer.Ordinal)
        {
            ["arm"] = $"{arm.Control}:{string.Join(',', arm.Positions)}",
        };
        if (chain.Build(plan.Setup, new Arguments(plan.Setup, chain, armed)) is { } built)
            yield return new Fix(
                "timer",
                "Adds a timer of the time in the air, which calls out every minute. Whether that suits this craft is for its pilot to say.",
                SetupEdit.Between("Add a flight timer", plan.Setup, built.Setup)
            );
    }
}
