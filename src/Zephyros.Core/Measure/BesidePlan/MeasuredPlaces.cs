using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.BesidePlan;

/// <summary>Collects the places of a channel.</summary>
/// <param name="plan">The setup.</param>
/// <param name="wire">What a recording tells, not scaled by the board; null when none was made.</param>
/// <param name="board">What was read off the board.</param>
internal sealed class MeasuredPlaces(SignalPlan plan, BoardReadings? wire, BoardReadings board)
{
    private readonly ILookup<ChannelNumber, ControlRow> rows = MeasuredRows.Of(plan).ToLookup(r => r.Channel);

    /// <summary>The places of a channel that takes a stick, or a switch whose positions can be measured; none for another.</summary>
    public IReadOnlyList<MeasuredPlace> On(ChannelNumber number) =>
        number.Aux is null && ChannelOrder.StickOn(plan.Setup.Model, plan.Setup.Transmitter, number) is { } stick
            ? OfStick(number, stick)
            : [.. rows[number].Take(1).SelectMany(OfSwitch)];

    private MeasuredPlace[] OfStick(ChannelNumber number, StickAxis stick)
    {
        var bar = plan.Setup.Board.Map.AxisOf(number).Word();
        var (carried, shown) = (wire?.Sweeps.GetValueOrDefault(bar), board.Sweeps.GetValueOrDefault(bar));
        var control = plan.Setup.Transmitter.StickOf(stick)!;
        MeasuredPlace At(string name, double setting, Func<Sweep, Microseconds> pick)
        {
            var values = plan.With(control, setting);
            return new(
                name,
                values.Sent[number.Value - 1],
                values.Received[number.Value - 1],
                carried is null ? null : pick(carried),
                shown is null ? null : pick(shown),
                shown?.Jitter ?? default
            );
        }

        var low = plan.With(control, -100).Sent[number.Value - 1].Value;
        var end = low < plan.With(control, 100).Sent[number.Value - 1].Value ? 100 : -100;
        var ends = (Low: At("lowest", -end, s => s.Low), High: At("highest", end, s => s.High));
        // A throttle has no spring: where it was left says nothing of its centre.
        return stick == StickAxis.Throttle
            ? [ends.Low, ends.High]
            : [ends.Low, At("centre", 0, s => s.Centre), ends.High];
    }

    private IEnumerable<MeasuredPlace> OfSwitch(ControlRow row) =>
        row.Cells.Select(cell =>
        {
            PositionSeen? Seen(BoardReadings? readings) =>
                readings?.Positions.FirstOrDefault(p =>
                    (p.Control, p.Setting, p.Channel) == (row.Control, (int)cell.Setting, row.Channel)
                );
            return new MeasuredPlace(
                cell.Name,
                plan.With(row.Control, cell.Setting).Sent[row.Channel.Value - 1],
                cell.Received,
                Seen(wire)?.Value,
                Seen(board)?.Value,
                Seen(board)?.Jitter ?? default
            );
        });
}
