using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model.Logic;

/// <summary>A named condition.</summary>
public sealed record Condition
{
    /// <summary>The condition in the pilot's words.</summary>
    [Description("The condition in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The name in the transmitter's own short form; empty when the label fits.</summary>
    [Description("The name in the transmitter's short form; empty when the label fits.")]
    [StringLength(15)]
    public string Short { get; init; } = "";

    /// <summary>What has to hold.</summary>
    [Description("What has to hold.")]
    public required Test Test { get; init; }
}
