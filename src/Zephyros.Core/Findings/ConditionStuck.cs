using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A condition can never hold, or always does.</summary>
public sealed class ConditionStuck : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var reach = new ConditionReach(setup.Transmitter, setup.Model, plan.Model.Graph);
        var words = new ModelWords(setup.Transmitter, setup.Model);
        foreach (var (id, condition) in setup.Model.Conditions.OrderBy(c => c.Key, StringComparer.Ordinal))
        {
            if (reach.Of(id) is not { } can || (can.CanHold && can.CanFail))
                continue;
            yield return new Finding
            {
                Key = $"condition-stuck:{id}",
                Severity = Severity.Danger,
                Station = Station.Model,
                Place = $"/model/conditions/{id}/test",
                Title = can.CanHold ? $"“{condition.Label}” always holds" : $"“{condition.Label}” can never hold",
                What =
                    $"It asks: {words.Of(condition.Test)}. No position of any control and no telemetry makes that {(can.CanHold ? "fail" : "true")}.",
                Why = can.CanHold
                    ? "Whatever waits for it happens all the time; it may as well not be asked."
                    : "Whatever waits for it never happens: a lock that never locks, a rescue that never comes.",
                Provenance = Provenance.Computed("every combination of what it asks for was tried"),
                MayBeJustified = true,
                Fixes = [],
            };
        }
    }
}
