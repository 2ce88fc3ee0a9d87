using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A position of a switch arrives so near to the edge of a band that a little wander switches a function.</summary>
public sealed class BandTooNear : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("band-too-near", "{0} positions lie too near to the edge of a band", "Move the edges for all {0}");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var rows = ControlRows.Of(plan);
        foreach (var near in rows.SelectMany(r => r.Cells.Select(c => (Row: r, Cell: c))).Where(n => IsNear(n.Cell)))
        {
            var (row, cell) = near;
            var room = cell.Room!;
            var function = plan.Setup.Board.Functions[room.Function];
            var wander = plan.Setup.Board.WanderOn(row.Channel);
            yield return new Finding
            {
                Key = $"band-too-near:{room.Function}:{row.Control}:{cell.Name}",
                Severity = function.Kind == FunctionKind.Arm ? Severity.Danger : Severity.Caution,
                Station = Station.Board,
                Place = $"/board/functions/{room.Function}",
                Title = $"{function.Label} may switch by itself",
                What =
                    $"{row.Name} at {cell.Name} arrives as {cell.Received}; {function.Label} has an edge at {room.Edge}"
                    + (wander.Value > 0 ? $", and the channel wanders by {wander} to either side." : "."),
                Why =
                    "A value that trembles across the edge switches the function on and off while nobody moves anything.",
                Provenance = Provenance.Practice(
                    "room for jitter. 5 µs where nothing was measured: our own assumption"
                ),
                MayBeJustified = true,
                Fixes = [.. Fit(plan, rows, room.Function)],
            };
        }
    }

    private static bool IsNear(PositionCell cell) => cell.Room is { TooNear: true };

    // The same positions stay inside; the edges go midway to the next ones, where that leaves room to every value on the channel.
    private static IEnumerable<Fix> Fit(SignalPlan plan, IReadOnlyList<ControlRow> rows, string id)
    {
        var function = plan.Setup.Board.Functions[id];
        var cells = rows.Where(r => r.Channel == function.Channel && r.Control == function.Control)
            .SelectMany(r => r.Cells)
            .ToLookup(c => c.Activates(id), c => c.Received);
        if (
            cells[true].Any()
            && BandFit.Around([.. cells[true]], [.. cells[false]]) is var (low, high)
            && LeavesRoom(plan, rows, id, function with { Low = low, High = high })
        )
            yield return new Fix(
                "band",
                "The same positions work it; its edges lie midway to the next ones.",
                BoardEdits.MoveBand(plan.Setup, id, low, high)
            );
    }

    private static bool LeavesRoom(SignalPlan plan, IReadOnlyList<ControlRow> rows, string id, BoardFunction moved)
    {
        var alone = plan.Setup.Board with { Functions = plan.Setup.Board.Functions.Clear().Add(id, moved) };
        return rows.Where(r => r.Channel == moved.Channel)
            .SelectMany(r => r.Cells)
            .All(c => BandRoom.Of(alone, moved.Channel, c.Received) is not { TooNear: true });
    }
}
