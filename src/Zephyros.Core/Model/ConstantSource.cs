using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>A fixed value.</summary>
public sealed record ConstantSource : Source
{
    /// <summary>The value.</summary>
    [Description("The fixed value, in percent.")]
    [Range(-500, 500)]
    public required Percent Value { get; init; }
}
