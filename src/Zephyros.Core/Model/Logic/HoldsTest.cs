using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model.Logic;

/// <summary>Another named condition holds.</summary>
public sealed record HoldsTest : Test
{
    /// <summary>The id of the condition.</summary>
    [Description("The id of the condition that must hold.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Condition { get; init; }
}
