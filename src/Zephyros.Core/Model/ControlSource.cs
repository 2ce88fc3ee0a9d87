using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model;

/// <summary>Takes a control of the transmitter.</summary>
public sealed record ControlSource : Source
{
    /// <summary>The id of the control.</summary>
    [Description("The id of the control that the channel takes.")]
    [StringLength(32, MinimumLength = 1)]
    public required string Control { get; init; }
}
