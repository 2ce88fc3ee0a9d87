using Zephyros.Core.Edits;
using Zephyros.Core.Goggles;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Goggles;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The first page of the goggles shows neither voltage nor signal, or so much that nothing is found on it.</summary>
public sealed class GogglesFirstPage : IFindingRule
{
    [Figure(
        Station.Return,
        "On the first page of the goggles so many items are read at a glance",
        ProvenanceKind.OwnAssumption
    )]
    private const int Most = 6;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (GogglesPlan.Of(plan) is not { } goggles)
            yield break;
        var first = goggles.Lines.Where(l => l.Item.Page == 1).ToArray();
        if (
            !first.Any(l =>
                l.Item.Shows
                    is GogglesSubject.PackVoltage
                        or GogglesSubject.CellVoltage
                        or GogglesSubject.SignalQuality
                        or GogglesSubject.SignalStrength
            )
        )
            yield return ReturnCaution.Of(
                "goggles-first-page-bare",
                "/goggles/items",
                "The goggles show neither voltage nor signal",
                "Neither of them stands on the first page.",
                "With goggles on nobody sees the transmitter's display: what must bring the craft home is not to be seen.",
                GogglesFaults.Changing(
                    plan.Setup,
                    "voltage",
                    "Puts the voltage of the pack onto the first page.",
                    "Voltage in the goggles",
                    g =>
                        g with
                        {
                            Items = g.Items.Add(
                                FreeId.Of("voltage", g.Items.ContainsKey),
                                new GogglesItem
                                {
                                    Shows = GogglesSubject.PackVoltage,
                                    Row = GogglesFaults.FreeRow(g, 1),
                                }
                            ),
                        }
                )
            );
        if (first.Length > Most)
            yield return ReturnCaution.Of(
                "goggles-first-page-crowded",
                "/goggles/items",
                $"{first.Length} items stand on the first page of the goggles",
                $"More than {Most} are not read at a glance, by a figure of our own.",
                "What is looked for in a hurry is not found among the rest.",
                []
            );
    }
}
