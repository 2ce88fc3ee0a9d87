using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The way of the arm switch through a setup, as the arming rules look at it.</summary>
internal sealed record ArmingPath(SignalPlan Plan, string FunctionId, BoardFunction Function)
{
    // Bands are set in such steps and lie between such ends on common boards; from memory (figures.md).
    private const double BandStep = 25;
    private const double LowestBand = 900;
    private const double HighestBand = 2100;

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
        var at = cell.Received.Value;
        var others = Cells.Where(c => c.Setting != cell.Setting).Select(c => c.Received.Value).ToArray();
        var below = others.Where(v => v <= at).DefaultIfEmpty(double.NaN).Max();
        var above = others.Where(v => v > at).DefaultIfEmpty(double.NaN).Min();
        var low = double.IsNaN(below)
            ? Math.Min(LowestBand, Math.Floor(at / BandStep) * BandStep)
            : OnStep((below + at) / 2);
        var high = double.IsNaN(above)
            ? Math.Max(HighestBand, (Math.Floor(at / BandStep) + 1) * BandStep)
            : OnStep((at + above) / 2);
        // Nothing is above NaN: without a neighbour below there is nothing to keep out.
        if (!(low <= below) && low <= at && at < high)
            yield return new Fix(
                id,
                description,
                Edits.MoveBand(Plan.Setup, FunctionId, new Microseconds(low), new Microseconds(high))
            );
    }

    private static double OnStep(double value) =>
        Math.Round(value / BandStep, MidpointRounding.AwayFromZero) * BandStep;
}
