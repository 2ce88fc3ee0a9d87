using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model;

/// <summary>Takes a condition: +100 % while it holds, -100 % while it does not.</summary>
public sealed record ConditionSource : Source
{
    /// <summary>The id of the condition.</summary>
    [Description("The id of the condition: +100 % while it holds, -100 % while it does not.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Condition { get; init; }
}
