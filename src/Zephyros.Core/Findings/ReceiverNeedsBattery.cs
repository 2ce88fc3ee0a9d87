using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The receiver gets no power from USB: what is to be seen of it needs the flight battery.</summary>
public sealed class ReceiverNeedsBattery : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var port = setup.Board.Ports[setup.Board.ReceiverPort];
        if (port.UsbPower || setup.Air.Receiver.InBoard)
            yield break;
        yield return new Finding
        {
            Key = "receiver-needs-battery",
            Severity = Severity.Caution,
            Station = Station.Wire,
            Place = $"/board/ports/{setup.Board.ReceiverPort}/usbPower",
            Title = "The receiver is dark on USB alone",
            What = $"The pads of {port.Label} have no power from USB.",
            Why =
                "Setting up on USB, the board sees no signal. With the flight battery it does: propellers off, a current limiter on first power-up, and mind that the video transmitter gets hot.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                .. PortChoices
                    .Of(setup.Board, plan.Wire)
                    .Where(c => c.Fit != PortFit.Impossible && setup.Board.Ports[c.Port].UsbPower)
                    .Take(2)
                    .Select(c => new Fix(
                        $"move-{c.Port}",
                        string.Join(" ", c.Steps),
                        WireEdits.ReceiverOn(setup, c.Port)
                    )),
            ],
        };
    }
}
