using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Air;

/// <summary>One step of binding a receiver.</summary>
public sealed record BindStep
{
    /// <summary>What to do.</summary>
    [Description("What to do.")]
    [StringLength(300, MinimumLength = 1)]
    public required string Do { get; init; }

    /// <summary>What the light then shows; empty when it shows nothing new.</summary>
    [Description("What the light then shows; empty when it shows nothing new.")]
    [StringLength(120)]
    public string Light { get; init; } = "";

    /// <summary>What to try when it does not; empty when there is nothing to try.</summary>
    [Description("What to try when it does not; empty when there is nothing to try.")]
    [StringLength(300)]
    public string Otherwise { get; init; } = "";
}
