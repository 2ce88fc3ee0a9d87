using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Air;

/// <summary>A radio module of the transmitter: built in, or plugged into its bay.</summary>
public sealed record RadioModule
{
    /// <summary>The module in the pilot's words.</summary>
    [Description("The module in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>Where it sits.</summary>
    [Description("Where the module sits.")]
    public ModulePlace Place { get; init; }

    /// <summary>True when it is switched on; exactly one may be.</summary>
    [Description("True when the module is switched on; exactly one may be.")]
    public required bool On { get; init; }

    /// <summary>The family of receivers that it speaks to; empty when it is not known.</summary>
    [Description("The family of receivers that the module speaks to; empty when it is not known.")]
    [StringLength(40)]
    public string Family { get; init; } = "";

    /// <summary>The sub-family that is chosen on it; empty when there is none.</summary>
    [Description("The sub-family that is chosen on the module; empty when there is none.")]
    [StringLength(40)]
    public string SubFamily { get; init; } = "";
}
