using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model;

/// <summary>A flight state of the transmitter. The first one in order whose condition holds is the active one.</summary>
public sealed record FlightState
{
    /// <summary>The state in the pilot's words.</summary>
    [Description("The state in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The name in the transmitter's own short form; empty when the label fits.</summary>
    [Description("The name in the transmitter's short form; empty when the label fits.")]
    [StringLength(15)]
    public string Short { get; init; } = "";

    /// <summary>The priority: the lowest order is asked first.</summary>
    [Description("The priority: the state with the lowest order is asked first.")]
    [Range(-1e6, 1e6)]
    public required double Order { get; init; }

    /// <summary>The condition of the state; the default state has none and always holds.</summary>
    [Description("The id of the condition; the default state has none and always holds.")]
    [StringLength(80, MinimumLength = 1)]
    public string? When { get; init; }
}
