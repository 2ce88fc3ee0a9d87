using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Two warnings of the signal come at the same level: there is no first one.</summary>
public sealed class WarningsAtOneLevel : IFindingRule
{
    private const double Apart = 1;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var warnings = LevelTest.OfSignal(plan.Setup).ToArray();
        for (var i = 0; i < warnings.Length; i++)
        for (var j = i + 1; j < warnings.Length; j++)
        {
            var (one, other) = (warnings[i], warnings[j]);
            if (one.Id == other.Id || one.Test.Sensor != other.Test.Sensor)
                continue;
            if (Math.Abs(one.Test.Limit.Value - other.Test.Limit.Value) >= Apart)
                continue;
            yield return new Finding
            {
                Key = $"warnings-at-one-level:{one.Id}-{other.Id}",
                Severity = Severity.Caution,
                Station = Station.Return,
                Place = $"/model/conditions/{one.Id}/test",
                Title = $"“{one.Condition.Label}” and “{other.Condition.Label}” come together",
                What = $"Both ask {one.Sensor.Label} below {one.Sensor.LimitWords(one.Test.Limit)}.",
                Why =
                    "The first warning is to leave time to turn round, the critical one to say that there is none left.",
                Provenance = Provenance.Practice("critical below first"),
                MayBeJustified = true,
                Fixes = [.. Earlier(plan, one), .. Earlier(plan, other)],
            };
        }
    }

    // Half way up to the best that the sensor means.
    private static IEnumerable<Fix> Earlier(SignalPlan plan, LevelTest warning)
    {
        var limit = new Reading(Math.Round((warning.Test.Limit.Value + warning.Sensor.Highest.Value) / 2));
        if (limit.Value < warning.Test.Limit.Value + Apart || limit > warning.Sensor.Highest)
            yield break;
        yield return new Fix(
            $"earlier-{warning.Id}",
            $"“{warning.Condition.Label}” comes first, below {warning.Sensor.LimitWords(limit)}.",
            warning.At(plan.Setup, limit)
        );
    }
}
