using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model.Logic;

/// <summary>A switch or button stands in one of some positions.</summary>
public sealed record PositionTest : Test
{
    /// <summary>The id of the switch or button.</summary>
    [Description("The id of the switch or button.")]
    [StringLength(32, MinimumLength = 1)]
    public required string Control { get; init; }

    /// <summary>The positions that count: 1 and up for a switch, 0 or 1 for a button.</summary>
    [Description("The positions that count: 1 and up for a switch, 0 (released) or 1 (held) for a button.")]
    [Range(0, 6)]
    public required ImmutableArray<int> Positions { get; init; }
}
