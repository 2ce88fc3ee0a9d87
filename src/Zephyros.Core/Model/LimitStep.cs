using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Holds the value between two limits.</summary>
public sealed record LimitStep : ChainStep
{
    /// <summary>The lowest value that passes.</summary>
    [Description("The lowest value that passes, in percent.")]
    [Range(-500, 500)]
    public Percent Low { get; init; } = Percent.Low;

    /// <summary>The highest value that passes.</summary>
    [Description("The highest value that passes, in percent.")]
    [Range(-500, 500)]
    public Percent High { get; init; } = Percent.High;
}
