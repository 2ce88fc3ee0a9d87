using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The port that the receiver is on cannot read what it speaks.</summary>
public sealed class ReceiverPortUnfit : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var choices = PortChoices.Of(setup.Board, plan.Wire);
        var present = choices.First(c => c.Port == setup.Board.ReceiverPort);
        // A format without a port is the pilot's to wire; the wire's page says so.
        if (present.Fit != PortFit.Impossible || plan.Wire.Framing is null || setup.Air.Receiver.InBoard)
            yield break;
        yield return new Finding
        {
            Key = "receiver-port-unfit",
            Severity = Severity.Danger,
            Station = Station.Wire,
            Place = "/board/receiverPort",
            Title = $"{setup.Board.Ports[present.Port].Label} cannot read the receiver",
            What = string.Join(" ", present.Reasons),
            Why = "The board sees no signal, or garbage. It will not arm, and the fault looks like a dead receiver.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                .. choices
                    .Where(c => c.Fit != PortFit.Impossible)
                    .Take(3)
                    .Select(c => new Fix(
                        $"move-{c.Port}",
                        string.Join(" ", c.Steps),
                        WireEdits.ReceiverOn(setup, c.Port)
                    )),
            ],
        };
    }
}
