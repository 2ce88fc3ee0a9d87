using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Nothing uses a condition.</summary>
public sealed class ConditionUnused : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("condition-unused", "{0} conditions that nothing uses", "Remove all {0} conditions");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var used = ModelReferences
            .Of(plan.Setup.Model)
            .Where(r => r.Kind == ReferenceKind.Condition)
            .Select(r => r.Id)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var (id, condition) in plan.Setup.Model.Conditions.Where(c => !used.Contains(c.Key)))
        {
            yield return new Finding
            {
                Key = $"condition-unused:{id}",
                Severity = Severity.Caution,
                Station = Station.Model,
                Place = $"/model/conditions/{id}",
                Title = $"Nothing uses “{condition.Label}”",
                What = "No step, override, flight state, announcement or other condition asks for it.",
                Why =
                    "Either it was forgotten where it is needed, or it is a leftover that will puzzle somebody later.",
                Provenance = Provenance.Practice(),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "remove",
                        "Removes the condition.",
                        ModelEdits.InModel(
                            plan.Setup,
                            $"Remove “{condition.Label}”",
                            m => m with { Conditions = m.Conditions.Remove(id) }
                        )
                    ),
                ],
            };
        }
    }
}
