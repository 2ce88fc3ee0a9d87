using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A condition compares telemetry with a limit that the sensor can hardly mean.</summary>
public sealed class ImplausibleLimit : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, condition) in plan.Setup.Model.Conditions)
        {
            var beyond = TestTrees
                .SensorTests(condition.Test)
                .Select(test => (Test: test, Sensor: plan.Setup.Model.Sensors[test.Sensor]))
                .Where(t => t.Test.Limit < t.Sensor.Lowest || t.Test.Limit > t.Sensor.Highest);
            foreach (var (test, sensor) in beyond.DistinctBy(t => t.Test.Sensor, StringComparer.Ordinal))
                yield return Of(plan, id, condition, test, sensor);
        }
    }

    private static Finding Of(SignalPlan plan, string id, Condition condition, SensorTest test, Sensor sensor) =>
        new()
        {
            Key = $"implausible-limit:{id}:{test.Sensor}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/conditions/{id}/test",
            Title = $"{sensor.Label} of {sensor.LimitWords(test.Limit)} is not plausible",
            What =
                $"“{condition.Label}” compares {sensor.Label} with {sensor.LimitWords(test.Limit)}; the sensor means {sensor.Lowest} to {sensor.Words(sensor.Highest)}.",
            Why = $"{Outcome(plan, id, condition, test, sensor)} A limit typed ten times too large has happened.",
            Provenance = Provenance.Practice("check plausibility"),
            MayBeJustified = true,
            Fixes = [.. Fixes(plan.Setup, id, condition, test, sensor)],
        };

    // A limit beyond everything that the sensor means is always met, or never.
    private static string Outcome(SignalPlan plan, string id, Condition condition, SensorTest test, Sensor sensor)
    {
        var whole =
            ReferenceEquals(condition.Test, test) || condition.Test is DelayTest { Of: [var only] } && only == test;
        var always = test.Relation == Relation.Below ? test.Limit > sensor.Highest : test.Limit < sensor.Lowest;
        if (!always)
            return whole ? "The condition will not come when it is needed." : "This part of the condition never holds.";
        if (!whole)
            return $"This part of the condition holds whatever {sensor.Label} reads.";
        string[] does =
        [
            .. ConditionEffects.Forced(plan.Setup.Model, plan.Model.Graph, id),
            .. ConditionEffects.Said(plan.Setup.Model, id),
        ];
        var then = does.Length > 0 ? $", and {string.Join(", and ", does)}" : "";
        return $"The condition holds as soon as {sensor.Label} is reported, whatever it reads{then}: the pilot learns to ignore it, and it tells nothing when it is needed.";
    }

    private static IEnumerable<Fix> Fixes(Setup setup, string id, Condition condition, SensorTest test, Sensor sensor)
    {
        foreach (var (fix, words, limit) in Meant(setup.Air, test.Limit, sensor))
        {
            if (limit < sensor.Lowest || limit > sensor.Highest)
                continue;
            var changed = condition with
            {
                Test = TestTrees.Replace(condition.Test, test, test with { Limit = limit }),
            };
            yield return new Fix(
                fix,
                $"{words}: {sensor.LimitWords(limit)}.",
                ModelEdits.InModel(
                    setup,
                    $"Limit {sensor.LimitWords(limit)} for “{condition.Label}”",
                    m => m with { Conditions = m.Conditions.SetItem(id, changed) }
                )
            );
        }
    }

    // What may have been meant: a decimal point, or the other scale of a signal.
    private static IEnumerable<(string Fix, string Words, Reading Limit)> Meant(
        LinkSettings link,
        Reading limit,
        Sensor sensor
    )
    {
        var sensitivity = LinkBudget.SensitivityOf(link);
        if (sensor.Unit == "dBm" && limit.Value is > 0 and < 100)
            yield return (
                "as-quality",
                $"Takes the strength at which {Figures.Plain(limit.Value)} % of the packets come",
                new Reading(Math.Ceiling(sensitivity.Value + LinkBudget.MarginAt(new Percent(limit.Value)).Value))
            );
        if (sensor.Measures == SensorSubject.LinkQuality && limit.Value < 0)
            yield return (
                "as-strength",
                $"Takes the share of packets that come at {Figures.Plain(limit.Value)} dBm",
                new Reading(Math.Round(LinkBudget.QualityAt(new Decibels(limit.Value - sensitivity.Value)).Value))
            );
        yield return ("tenth", "Takes a tenth of it", new Reading(Math.Round(limit.Value * 0.1, 6)));
        yield return ("tenfold", "Takes ten times of it", new Reading(Math.Round(limit.Value * 10, 6)));
    }
}
