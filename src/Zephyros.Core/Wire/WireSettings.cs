using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Wire;

/// <summary>What the receiver speaks on its signal wire.</summary>
public sealed record WireSettings
{
    /// <summary>The format.</summary>
    [Description("The wire format between receiver and board.")]
    public required WireFormat Format { get; init; }

    /// <summary>What the pilot's hardware calls the format.</summary>
    [Description("What the pilot's hardware calls the format.")]
    [StringLength(40)]
    public string Alias { get; init; } = "";

    /// <summary>The format that is set on the receiver itself; null when it is not known or cannot be chosen there.</summary>
    [Description(
        "The wire format that is set on the receiver itself; without one where it is not known or cannot be chosen."
    )]
    public WireFormat? ReceiverSpeaks { get; init; }

    /// <summary>The time from the start of one frame to the start of the next.</summary>
    [Description("The time from the start of one frame to the start of the next, in milliseconds.")]
    [Range(2, 50)]
    public required Milliseconds FramePeriod { get; init; }

    /// <summary>How the sender makes a whole count of a value.</summary>
    [Description("How the sender makes a whole count of a value.")]
    public CountRounding Rounding { get; init; }
}
