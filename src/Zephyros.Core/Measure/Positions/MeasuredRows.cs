using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Positions;

/// <summary>The switches and buttons whose positions can be measured: each gives a value of its own on an AUX channel that takes it.
/// What only decides something about a channel gives nothing that could be read off by itself.</summary>
public static class MeasuredRows
{
    /// <summary>Nearer positions no band could tell apart, and trembling is less; in microseconds.</summary>
    [Figure(Station.Board, "Positions can be told apart on a channel from", ProvenanceKind.OwnAssumption, Unit = "µs")]
    public const double Apart = 15;

    /// <summary>The rows of these controls, in the order of the controls.</summary>
    public static IReadOnlyList<ControlRow> Of(SignalPlan plan) => Among(plan, ControlRows.Of(plan));

    /// <summary>Those of the rows of a setup that can be measured.</summary>
    public static IReadOnlyList<ControlRow> Among(SignalPlan plan, IReadOnlyList<ControlRow> rows) =>
        [
            .. rows.Where(row =>
                row.Channel.Aux is not null
                && plan.ChannelAt(row.Channel)?.Channel.Take is ControlSource { Control: var taken }
                && taken == row.Control
                && row.Cells.Index()
                    .All(one =>
                        row.Cells.Take(one.Index)
                            .All(other => other.Received.ApartFrom(one.Item.Received).Value > Apart)
                    )
            ),
        ];
}
