using Zephyros.Core.Path;
using Zephyros.Core.Path.Goggles;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Two items in the goggles stand over each other.</summary>
public sealed class GogglesOverlap : IFindingRule
{
    [Figure(Station.Return, "An item in the goggles takes so many columns", ProvenanceKind.OwnAssumption)]
    private const int Width = 7;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var lines = GogglesPlan.Of(plan)?.Lines ?? [];
        for (var i = 1; i < lines.Count; i++)
        {
            var (left, right) = (lines[i - 1], lines[i]);
            if (
                (left.Item.Page, left.Item.Row) != (right.Item.Page, right.Item.Row)
                || right.Item.Column - left.Item.Column >= Width
            )
                continue;
            yield return ReturnCaution.Of(
                $"goggles-overlap:{left.Id}:{right.Id}",
                $"/goggles/items/{right.Id}/column",
                $"{left.Words} and {right.Words.ToLowerInvariant()} stand over each other",
                $"On page {left.Item.Page}, row {left.Item.Row}, they begin at columns {left.Item.Column} and {right.Item.Column}.",
                "Neither can be read.",
                GogglesFaults.Changing(
                    plan.Setup,
                    "move",
                    "Moves the second one to a row of its own.",
                    $"{right.Words} in a row of its own",
                    g =>
                        g with
                        {
                            Items = g.Items.SetItem(
                                right.Id,
                                right.Item with
                                {
                                    Row = GogglesFaults.FreeRow(g, right.Item.Page),
                                }
                            ),
                        }
                )
            );
        }
    }
}
