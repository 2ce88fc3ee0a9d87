using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Forces a channel to a value while a condition holds. The value replaces what leaves the output stage.</summary>
public sealed record Override
{
    /// <summary>What the override is for, in the pilot's words.</summary>
    [Description("What the override is for, in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The id of the channel that is forced.</summary>
    [Description("The id of the channel that is forced.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Channel { get; init; }

    /// <summary>The id of the condition.</summary>
    [Description("The id of the condition while which the channel is forced.")]
    [StringLength(80, MinimumLength = 1)]
    public required string When { get; init; }

    /// <summary>The value that is sent instead.</summary>
    [Description("The value that is sent instead, in percent.")]
    [Range(-150, 150)]
    public required Percent Value { get; init; }

    /// <summary>Which of several overrides of a channel wins: the lowest that holds.</summary>
    [Description("Of several overrides of one channel whose conditions hold, the one with the lowest order wins.")]
    [Range(-1e6, 1e6)]
    public double Order { get; init; }

    /// <summary>False while the override is not enabled: it then does nothing.</summary>
    [Description("False while the override is not enabled: it then does nothing.")]
    public bool Enabled { get; init; } = true;
}
