using Zephyros.Core.Wire;

namespace Zephyros.Core.Board;

/// <summary>Ranks the ports of a board for a receiver that speaks a format.</summary>
/// <remarks>Common practice, no source: one-way formats need the receive pad alone, two-way formats both, crossed; a line that
/// idles low needs an inverter; exactly one port is the receiver's.</remarks>
public static class PortChoices
{
    /// <summary>All ports, the best first.</summary>
    /// <param name="board">The board.</param>
    /// <param name="wire">What the receiver speaks.</param>
    public static IReadOnlyList<PortChoice> Of(FlightBoard board, WireDescriptor wire) =>
        [
            .. board
                .Ports.Select(p => Judge(p.Key, p.Value, wire))
                .OrderBy(c => c.Fit)
                .ThenBy(c => c.Port != board.ReceiverPort)
                .ThenBy(c => c.Port, StringComparer.Ordinal),
        ];

    private static PortChoice Judge(string id, SerialPort port, WireDescriptor wire)
    {
        string[] against = [.. Against(port, wire)];
        if (against.Length > 0)
            return new PortChoice(id, PortFit.Impossible, against, []);
        string[] minded = [.. Minded(port, wire)];
        return new PortChoice(
            id,
            minded.Length > 0 ? PortFit.WithCare : PortFit.Fits,
            minded.Length > 0 ? minded : [$"It reads {wire.Name} as it is."],
            [.. Steps(port, wire)]
        );
    }

    private static IEnumerable<string> Against(SerialPort port, WireDescriptor wire)
    {
        if (port.TakenBy.Length > 0)
            yield return $"It is taken by the {port.TakenBy}, which would have to move.";
        if (wire.Framing is null)
        {
            yield return $"{wire.Name} is no serial format: it goes to an input of its own, not to a port.";
            yield break;
        }

        if (wire.Framing.Inverted && port.Inverter == PortInverter.None)
            yield return $"{wire.Name} idles low, and this port has no inverter.";
        if (!wire.Framing.Inverted && port.Inverter == PortInverter.Fixed)
            yield return $"{wire.Name} idles high, and this port lies behind an inverter that cannot be switched off.";
        if (wire.TwoWay && port.Pads == PortPads.ReceiveOnly)
            yield return $"{wire.Name} needs both directions, and this port has no transmit pad.";
    }

    private static IEnumerable<string> Minded(SerialPort port, WireDescriptor wire)
    {
        if (port.Inverter == PortInverter.BySetting && wire.Framing!.Inverted)
            yield return "It must be set to inverted.";
        if (!port.UsbPower)
            yield return "Its pads have no power from USB: the receiver needs the flight battery. Propellers off.";
    }

    private static IEnumerable<string> Steps(SerialPort port, WireDescriptor wire)
    {
        yield return $"Solder the receiver's {(wire.TwoWay ? "transmit pad" : "signal")} to the receive pad of {port.Label}, and ground and 5 V beside it.";
        if (wire.TwoWay)
            yield return $"Solder the transmit pad of {port.Label} to the receiver's receive pad: the two wires cross.";
        yield return $"Set the function “receiver” on {port.Label}, and on no other port.";
        if (port.Inverter == PortInverter.BySetting)
            yield return wire.Framing!.Inverted
                ? $"Set {port.Label} to inverted."
                : $"See that {port.Label} is not set to inverted.";
        yield return $"Choose the format that your board calls {wire.Name}; set the same on the receiver.";
        yield return "Save, let the board restart, go back and read that it stayed.";
    }
}
