using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Evidence;

/// <summary>What was seen in one step of a bind.</summary>
public sealed record BindStepSeen
{
    /// <summary>What was to be done.</summary>
    [Description("What was to be done.")]
    [StringLength(300, MinimumLength = 1)]
    public required string Do { get; init; }

    /// <summary>True when the light showed what it should, or there was nothing to see.</summary>
    [Description("True when the light showed what it should.")]
    public required bool AsExpected { get; init; }

    /// <summary>What the light showed, in the pilot's words: the guide shows it at the next bind; empty when nothing was noted.</summary>
    [Description("What the light showed, in the pilot's words; empty when nothing was noted.")]
    [StringLength(120)]
    public string Light { get; init; } = "";
}
