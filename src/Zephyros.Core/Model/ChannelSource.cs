using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model;

/// <summary>Takes another channel: the value after its last step, before its output stage and overrides. So the ends of one channel
/// never change another.</summary>
public sealed record ChannelSource : Source
{
    /// <summary>The id of the channel.</summary>
    [Description("The id of the channel whose chain is taken, before its output stage.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Channel { get; init; }
}
