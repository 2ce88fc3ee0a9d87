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
                yield return Of(plan.Setup, id, condition, test, sensor);
        }
    }

    private static Finding Of(Setup setup, string id, Condition condition, SensorTest test, Sensor sensor) =>
        new()
        {
            Key = $"implausible-limit:{id}:{test.Sensor}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/conditions/{id}/test",
            Title = $"{sensor.Label} of {sensor.Words(test.Limit)} is not plausible",
            What =
                $"“{condition.Label}” compares {sensor.Label} with {sensor.Words(test.Limit)}; the sensor means {sensor.Lowest} to {sensor.Words(sensor.Highest)}.",
            Why =
                $"{Outcome(setup.Model, id, condition, test, sensor)} A limit typed ten times too large has happened.",
            Provenance = Provenance.Practice("check plausibility"),
            MayBeJustified = true,
            Fixes = [.. Fixes(setup, id, condition, test, sensor)],
        };

    // A limit beyond everything that the sensor means is always met, or never.
    private static string Outcome(
        TransmitterModel model,
        string id,
        Condition condition,
        SensorTest test,
        Sensor sensor
    )
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
            .. model
                .Overrides.Where(o => o.Value.When == id && o.Value.Enabled)
                .OrderBy(o => o.Key, StringComparer.Ordinal)
                .Select(o => $"{o.Value.Label} forces {model.Channels[o.Value.Channel].Label} to {o.Value.Value}"),
            .. model
                .Announcements.Where(a => a.Value.When == id && a.Value.Enabled)
                .OrderBy(a => a.Key, StringComparer.Ordinal)
                .Select(a => $"“{a.Value.Says}” is said"),
        ];
        var then = does.Length > 0 ? $", and {string.Join(", and ", does)}" : "";
        return $"The condition holds as soon as {sensor.Label} is reported, whatever it reads{then}: the pilot learns to ignore it, and it tells nothing when it is needed.";
    }

    private static IEnumerable<Fix> Fixes(Setup setup, string id, Condition condition, SensorTest test, Sensor sensor)
    {
        foreach (var (factor, name) in new[] { (0.1, "a tenth"), (10, "ten times") })
        {
            var limit = new Reading(Math.Round(test.Limit.Value * factor, 6));
            if (limit < sensor.Lowest || limit > sensor.Highest)
                continue;
            var changed = condition with
            {
                Test = TestTrees.Replace(condition.Test, test, test with { Limit = limit }),
            };
            yield return new Fix(
                factor < 1 ? "tenth" : "tenfold",
                $"Takes {name} of it: {sensor.Words(limit)}.",
                ModelEdits.InModel(
                    setup,
                    $"Limit {sensor.Words(limit)} for “{condition.Label}”",
                    m => m with { Conditions = m.Conditions.SetItem(id, changed) }
                )
            );
        }
    }
}
