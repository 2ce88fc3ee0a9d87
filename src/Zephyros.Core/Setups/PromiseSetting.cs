using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Setups;

/// <summary>What the pilot has decided about a safety promise: not to look at it, or to live with it broken, for a reason.</summary>
public sealed record PromiseSetting
{
    /// <summary>False when the promise is switched off for this craft.</summary>
    [Description("False when the promise is switched off for this craft.")]
    public bool On { get; init; } = true;

    /// <summary>Why a broken promise is kept as it is, or why it is switched off; empty when nothing is said.</summary>
    [Description("Why a broken promise is kept as it is, or why it is switched off.")]
    [StringLength(400)]
    public string Note { get; init; } = "";
}
