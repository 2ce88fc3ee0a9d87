using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The way of the arm switch through a setup, as the arming rules look at it.</summary>
internal sealed record ArmingPath(SignalPlan Plan, string FunctionId, BoardFunction Function)
{
    /// <summary>The arming path of a setup, or null when the board has no arm function.</summary>
    public static ArmingPath? Of(SignalPlan plan) =>
        plan.Setup.Board.Arm is { Key: var id, Value: var function } ? new ArmingPath(plan, id, function) : null;

    /// <summary>The control that is meant to arm.</summary>
    public Control Control => Plan.Setup.Transmitter.Controls[Function.Control];

    /// <summary>The place of the arm function in the document.</summary>
    public string Place => $"/board/functions/{FunctionId}";

    /// <summary>The channel that the board watches, if the model feeds it.</summary>
    public PlannedChannel? Watched => Plan.ChannelAt(Function.Channel);

    /// <summary>How many channels get to the board.</summary>
    public int Carried => SignalPlan.CarriedChannels(Plan.Setup);

    /// <summary>True when the watched channel is carried and depends on the control that is meant to arm.</summary>
    public bool Arrives => Function.Channel.Value <= Carried && Watched?.DependsOn(Function.Control) == true;

    /// <summary>The first carried AUX channel that takes the control, or null.</summary>
    public ChannelNumber? SentOn =>
        Plan.ChannelsOf(Function.Control)
            .Select(c => (ChannelNumber?)c.Channel.Number)
            .FirstOrDefault(n => n!.Value.Aux is not null && n.Value.Value <= Carried);

    /// <summary>The positions of the control and what arrives from each; empty for a stick or a dial.</summary>
    public IReadOnlyList<PositionCell> Cells => ControlRows.Row(Plan, Function.Control, Control, Watched!).Cells;

    /// <summary>Puts the band around one position and no other: edges midway to the neighbours, on the board's steps. No fix where the
    /// positions lie too close to be told apart.</summary>
    public IEnumerable<Fix> BandAround(PositionCell cell, string id, string description)
    {
        var others = Cells.Where(c => c.Setting != cell.Setting).Select(c => c.Received).ToArray();
        if (BandFit.Around([cell.Received], others) is var (low, high))
            yield return new Fix(id, description, BoardEdits.MoveBand(Plan.Setup, FunctionId, low, high));
    }
}
