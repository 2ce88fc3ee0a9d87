using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Board;

/// <summary>A serial port of the board.</summary>
public sealed record SerialPort
{
    /// <summary>The port as it is printed on the board or in its documentation.</summary>
    [Description("The port as it is printed on the board or in its documentation.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>What else is connected there; empty when nothing is.</summary>
    [Description("What else is connected to the port; empty when nothing is.")]
    [StringLength(40)]
    public string TakenBy { get; init; } = "";

    /// <summary>Whether it can read a line that idles low.</summary>
    [Description("Whether the port can read a line that idles low.")]
    public PortInverter Inverter { get; init; }

    /// <summary>Which of its pads can be reached.</summary>
    [Description("Which pads of the port can be reached.")]
    public PortPads Pads { get; init; }

    /// <summary>True when the 5 V beside it comes from USB as well.</summary>
    [Description("True when the 5 V beside the port comes from USB as well.")]
    public bool UsbPower { get; init; } = true;

    /// <summary>Whether the board has the function "receiver" set on this port, as it was read back; null when it was not looked at.</summary>
    [Description(
        "Whether the board has the function “receiver” set on this port, as it was read back; without one when it was not looked at."
    )]
    public bool? ReceiverSet { get; init; }
}
