using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model.Logic;

/// <summary>A flight state is the active one.</summary>
public sealed record StateTest : Test
{
    /// <summary>The id of the flight state.</summary>
    [Description("The id of the flight state that must be active.")]
    [StringLength(80, MinimumLength = 1)]
    public required string State { get; init; }
}
