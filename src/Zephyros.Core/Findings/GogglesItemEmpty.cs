using Zephyros.Core.Path;
using Zephyros.Core.Path.Goggles;

namespace Zephyros.Core.Findings;

/// <summary>An item in the goggles stays empty: nothing measures it, its channel does not come, or its page is never shown.</summary>
public sealed class GogglesItemEmpty : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("goggles-item-empty", "{0} items in the goggles stay empty", "Remove all {0} items");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from line in GogglesPlan.Of(plan)?.Lines ?? []
        let obstacle = line.Obstacle
        where obstacle is not null
        select ReturnCaution.Of(
            $"goggles-item-empty:{line.Id}",
            $"/goggles/items/{line.Id}",
            $"{line.Words} stays empty in the goggles",
            obstacle.Words,
            "A place in the picture that shows nothing, or an old figure, is taken for one that is right.",
            GogglesFaults.Changing(
                plan.Setup,
                "remove",
                "Takes the item out of the goggles.",
                $"{line.Words} out of the goggles",
                g => g with { Items = g.Items.Remove(line.Id) }
            )
        );
}
