using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Evidence;

/// <summary>What was done and seen when a receiver was bound.</summary>
public sealed record BindRecord
{
    /// <summary>The firmware of the radio module; empty when it was not noted.</summary>
    [Description("The firmware of the radio module.")]
    [StringLength(40)]
    public string ModuleFirmware { get; init; } = "";

    /// <summary>The firmware of the receiver; empty when it was not noted.</summary>
    [Description("The firmware of the receiver.")]
    [StringLength(40)]
    public string ReceiverFirmware { get; init; } = "";

    /// <summary>The options that were chosen: block of channels, telemetry, power.</summary>
    [Description("The options that were chosen at the bind.")]
    [StringLength(200)]
    public string Options { get; init; } = "";

    /// <summary>What was seen in each step of the guide, the first step first.</summary>
    [Description("What was seen in each step of the guide, the first step first.")]
    public ImmutableArray<BindStepSeen> Steps { get; init; } = [];

    /// <summary>What else there is to say.</summary>
    [Description("What else there is to say.")]
    [StringLength(400)]
    public string Note { get; init; } = "";

    /// <summary>True when every step went as the guide says.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool WentAsExpected => Steps.All(s => s.AsExpected);
}
