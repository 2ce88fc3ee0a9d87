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
}
