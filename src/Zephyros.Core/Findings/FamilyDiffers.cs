using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The module that is on speaks another family or sub-family than the receiver.</summary>
public sealed class FamilyDiffers : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var air = plan.Setup.Air;
        foreach (var (id, module) in air.Modules.OrderBy(m => m.Key, StringComparer.Ordinal))
        {
            var family = Differs(module.Family, air.Receiver.Family);
            if (!module.On || (!family && !Differs(module.SubFamily, air.Receiver.SubFamily)))
                continue;
            var (ours, theirs) = family
                ? (module.Family, air.Receiver.Family)
                : (module.SubFamily, air.Receiver.SubFamily);
            yield return new Finding
            {
                Key = $"family-differs:{id}",
                Severity = Severity.Danger,
                Station = Station.Air,
                Place = $"/air/modules/{id}/{(family ? "family" : "subFamily")}",
                Title = $"{module.Label} and the receiver speak different {(family ? "families" : "sub-families")}",
                What = $"The module is set to {ours}, the receiver is {theirs}.",
                Why = "They do not understand each other: it never binds. The receiver's kind decides.",
                Provenance = Provenance.Practice(),
                MayBeJustified = false,
                Fixes = family ? [] : [Follow(plan.Setup, id, theirs)],
            };
        }
    }

    private static bool Differs(string one, string other) =>
        one.Length > 0 && other.Length > 0 && !string.Equals(one, other, StringComparison.OrdinalIgnoreCase);

    private static Fix Follow(Setup setup, string id, string subFamily) =>
        new(
            "follow",
            $"Choose {subFamily} on the module, then bind again. Propellers off.",
            AirEdits.InAir(
                setup,
                $"{setup.Air.Modules[id].Label} speaks {subFamily}",
                air => air with { Modules = air.Modules.SetItem(id, air.Modules[id] with { SubFamily = subFamily }) }
            )
        );
}
