using System.Collections.Immutable;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Edits;

/// <summary>Edits of what receiver and board speak, and of the port between them. Each is a pure function of the setup.</summary>
public static class WireEdits
{
    /// <summary>Puts the receiver on another port.</summary>
    public static SetupEdit ReceiverOn(Setup setup, string port) =>
        SetupEdit.Between(
            $"Receiver on {setup.Board.Ports[port].Label}",
            setup,
            setup with
            {
                Board = setup.Board with { ReceiverPort = port },
            }
        );

    /// <summary>Writes down that the board has the function "receiver" on one port and on no other.</summary>
    public static SetupEdit ReceiverSetOnly(Setup setup, string? port) =>
        SetupEdit.Between(
            port is null ? "No port is the receiver's" : $"{setup.Board.Ports[port].Label} alone is the receiver's",
            setup,
            setup with
            {
                Board = setup.Board with
                {
                    Ports = setup.Board.Ports.ToImmutableDictionary(
                        p => p.Key,
                        p => p.Value with { ReceiverSet = p.Key == port },
                        StringComparer.Ordinal
                    ),
                },
            }
        );

    /// <summary>Writes down what is set on the receiver itself.</summary>
    public static SetupEdit ReceiverSpeaks(Setup setup, WireFormat format) =>
        SetupEdit.Between(
            $"Receiver set to {format.Describe().Name}",
            setup,
            setup with
            {
                Wire = setup.Wire with { ReceiverSpeaks = format },
            }
        );

    /// <summary>Makes receiver and board speak another wire format.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="format">The format.</param>
    /// <param name="period">The time from frame to frame; null for the format's usual one.</param>
    public static SetupEdit SpeakFormat(Setup setup, WireFormat format, Milliseconds? period = null)
    {
        var wire = format.Describe();
        // A frame of bytes takes its time whatever is in it; a pulse train is as long as what it carries.
        var shortest = wire.Framing is null ? 2 : Math.Max(2, Math.Ceiling(wire.TimeOnWire.Value * 10) / 10);
        var every = new Milliseconds(Math.Clamp(Math.Round((period ?? wire.UsualPeriods[0]).Value, 1), shortest, 50));
        return SetupEdit.Between(
            $"{wire.Name} on the wire",
            setup,
            setup with
            {
                Wire = setup.Wire with { Format = format, FramePeriod = every },
            }
        );
    }
}
