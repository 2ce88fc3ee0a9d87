using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model.Running;

namespace Zephyros.Core.Path.Controls;

/// <summary>Makes the table position x effect of a setup.</summary>
public static class ControlRows
{
    /// <summary>A row for every switch and button and every carried channel that it feeds, in the order of the controls.</summary>
    public static IReadOnlyList<ControlRow> Of(SignalPlan plan)
    {
        var carried = SignalPlan.CarriedChannels(plan.Setup);
        return
        [
            .. from control in plan.Model.Controls
            from channel in plan.ChannelsOf(control.Key)
            where channel.Channel.Number.Value <= carried
            let row = Row(plan, control.Key, control.Value, channel)
            where row.Cells.Count > 0 && (channel.SourceControl == control.Key || Differs(row))
            select row,
        ];
    }

    /// <summary>The row of one control on one channel; without cells when the control has no positions.</summary>
    public static ControlRow Row(SignalPlan plan, string controlId, Control control, PlannedChannel channel) =>
        new(
            controlId,
            control.Name,
            channel.Channel.Number,
            [.. control.NamedPositions.Select(p => Cell(plan, controlId, channel, p.Setting, p.Name))]
        );

    private static bool Differs(ControlRow row) => row.Cells.Any(c => c.Received != row.Cells[0].Received);

    private static PositionCell Cell(
        SignalPlan plan,
        string controlId,
        PlannedChannel channel,
        double setting,
        string name
    )
    {
        var number = channel.Channel.Number;
        var received = plan.With(controlId, setting).Received[number.Value - 1];
        var functions = plan
            .Setup.Board.Functions.Where(f => f.Value.Channel == number && f.Value.Contains(received))
            .Select(f => f.Key);
        return new PositionCell(
            setting,
            name,
            received,
            [.. functions.Order(StringComparer.Ordinal)],
            BandRoom.Of(plan.Setup.Board, number, received)
        );
    }
}
