using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Air;

/// <summary>The receiver on the craft. Its kind decides what the transmitter must speak, not the other way round.</summary>
public sealed record ReceiverUnit
{
    /// <summary>The receiver in the pilot's words.</summary>
    [Description("The receiver in the pilot's words.")]
    [StringLength(40)]
    public string Label { get; init; } = "";

    /// <summary>The family that it belongs to; empty when it is not known.</summary>
    [Description("The family that the receiver belongs to; empty when it is not known.")]
    [StringLength(40)]
    public string Family { get; init; } = "";

    /// <summary>The sub-family that it belongs to; empty when there is none.</summary>
    [Description("The sub-family that the receiver belongs to; empty when there is none.")]
    [StringLength(40)]
    public string SubFamily { get; init; } = "";

    /// <summary>The number under which the model is bound to it; null where the link has none. 0 is commonly shared by several craft.</summary>
    [Description("The number under which the model is bound to the receiver; without one where the link has none.")]
    [Range(0, 63)]
    public int? Number { get; init; }

    /// <summary>True when it is part of the board and needs no serial port.</summary>
    [Description("True when the receiver is part of the board and needs no serial port.")]
    public bool InBoard { get; init; }

    /// <summary>The channel into which the receiver puts the signal quality; null when it puts it nowhere.</summary>
    [Description("The channel into which the receiver puts the signal quality; without one where it puts it nowhere.")]
    [Range(5, 32)]
    public int? QualityOn { get; init; }
}
