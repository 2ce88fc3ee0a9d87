using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>What warns of a weak signal looks at something else than whether the craft hears the pilot: at the way back, or at strength alone.</summary>
public sealed class SignalOfWrongKind : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var warnings = LevelTest.OfSignal(plan.Setup).ToArray();
        if (warnings.Length == 0 || warnings.Any(w => w.Sensor.Measures == SensorSubject.LinkQuality))
            yield break;
        foreach (var warning in warnings.DistinctBy(w => w.Id, StringComparer.Ordinal))
        {
            var back = warning.Sensor.Measures == SensorSubject.DownLinkQuality;
            yield return new Finding
            {
                Key = $"signal-of-wrong-kind:{warning.Id}",
                Severity = back ? Severity.Danger : Severity.Caution,
                Station = Station.Return,
                Place = $"/model/conditions/{warning.Id}/test",
                Title = back
                    ? $"“{warning.Condition.Label}” warns of the way back only"
                    : $"“{warning.Condition.Label}” trusts strength alone",
                What = back
                    ? $"{warning.Sensor.Label} tells how much telemetry comes down, and not whether the craft hears the pilot."
                    : $"Nothing is announced of the share of packets that arrive; {warning.Sensor.Label} tells only how strong they are.",
                Why = back
                    ? "The two ways fail apart: the craft may be lost while telemetry still comes, and the other way round."
                    : "A link of packets fails by packets that do not come, for noise too; strength stays fair until the end.",
                Provenance = Provenance.Practice("the share of packets that come up"),
                MayBeJustified = true,
                Fixes = [.. Fixes(plan, warning)],
            };
        }
    }

    // Where the model has a sensor for it, that is asked at the level of the link's first warning.
    private static IEnumerable<Fix> Fixes(SignalPlan plan, LevelTest warning)
    {
        var setup = plan.Setup;
        if (
            setup
                .Model.Sensors.Where(s => s.Value.Measures == SensorSubject.LinkQuality)
                .OrderBy(s => s.Key, StringComparer.Ordinal)
                .Select(s => s.Key)
                .FirstOrDefault()
            is not { } id
        )
            yield break;
        var sensor = setup.Model.Sensors[id];
        var limit = new Reading(setup.Air.WarnBelow.Value);
        yield return new Fix(
            "quality",
            $"Asks {sensor.Label} below {sensor.LimitWords(limit)} instead.",
            warning.Asking(
                setup,
                $"“{warning.Condition.Label}” asks {sensor.Label}",
                warning.Test with
                {
                    Sensor = id,
                    Limit = limit,
                }
            )
        );
    }
}
