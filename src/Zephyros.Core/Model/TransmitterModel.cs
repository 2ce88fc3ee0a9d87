using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model;

/// <summary>The transmitter's model memory for one craft: its channels.</summary>
public sealed record TransmitterModel
{
    /// <summary>The name under which the transmitter stores the model.</summary>
    [Description("The name under which the transmitter stores the model.")]
    [StringLength(15, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>The channels by id. The id stays when the channel gets another number.</summary>
    [Description("The channels by id; the id stays when the channel gets another number.")]
    public required ImmutableDictionary<string, Channel> Channels { get; init; }
}
