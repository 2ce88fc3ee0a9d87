using Zephyros.Core.Goggles;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Goggles;

namespace Zephyros.Core.Findings;

/// <summary>What is called quality in the goggles is a strength, or the other way round.</summary>
public sealed class GogglesSignalMislabelled : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (GogglesPlan.Of(plan) is not { } goggles)
            yield break;
        foreach (var line in goggles.Lines.Where(l => l.Obstacle is null))
        {
            if (goggles.CarriesInstead(line.Item) is not { } carried)
                continue;
            var right =
                carried == SensorSubject.Strength ? GogglesSubject.SignalStrength : GogglesSubject.SignalQuality;
            var words = right.Words();
            yield return ReturnCaution.Of(
                $"goggles-signal-mislabelled:{line.Id}",
                $"/goggles/items/{line.Id}/shows",
                $"What the goggles call {line.Words.ToLowerInvariant()} is another figure",
                $"They read {line.Source}, and that carries the {words.ToLowerInvariant()}.",
                "Strength stays high while packets are lost, and quality stays high until shortly before the end: each has limits of its own.",
                GogglesFaults.Changing(
                    plan.Setup,
                    "rename",
                    "Calls it what it is.",
                    $"{words} in the goggles",
                    g => g with { Items = g.Items.SetItem(line.Id, line.Item with { Shows = right }) }
                )
            );
        }
    }
}
