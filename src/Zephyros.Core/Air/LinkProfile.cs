using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>A radio system: what it carries in each mode, what its receivers can do, and how they are bound.</summary>
public sealed record LinkProfile
{
    /// <summary>Its id; the built-in ones have a plain word.</summary>
    [Description("The id of the profile.")]
    [StringLength(40, MinimumLength = 1)]
    [RegularExpression("^[a-z0-9][a-z0-9-]*$")]
    public required string Id { get; init; }

    /// <summary>The system in the pilot's words.</summary>
    [Description("The system in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>What sets it apart, in a sentence.</summary>
    [Description("What sets it apart, in a sentence.")]
    [StringLength(240)]
    public string Summary { get; init; } = "";

    /// <summary>The frequency, 100 to 6000 MHz. National law decides which is allowed.</summary>
    [Description("The radio frequency, in megahertz. National law decides which is allowed.")]
    [Range(100, 6000)]
    public required Megahertz Frequency { get; init; }

    /// <summary>Another frequency for regions 2 and 3, where the system is made for two; null when it is the same everywhere.</summary>
    [Description("Another frequency for regions 2 and 3; without one where it is the same everywhere.")]
    [Range(100, 6000)]
    public Megahertz? FrequencyElsewhere { get; init; }

    /// <summary>Its modes, at least one, the usual one first.</summary>
    [Description("The modes of the system, the usual one first.")]
    public required ImmutableArray<LinkMode> Modes { get; init; }

    /// <summary>What its receivers can do on a loss.</summary>
    [Description("What the receivers can do while nothing arrives by radio.")]
    public ImmutableArray<ReceiverLoss> OnLoss { get; init; } = [];

    /// <summary>True when a receiver can put the signal quality into a channel.</summary>
    [Description("True when a receiver can put the signal quality into a channel.")]
    public bool QualityOnChannel { get; init; }

    /// <summary>How a receiver is bound.</summary>
    [Description("How a receiver is bound, step by step.")]
    public ImmutableArray<BindStep> Bind { get; init; } = [];

    /// <summary>The frequency in a region.</summary>
    public Megahertz FrequencyIn(LinkRegion region) =>
        region is LinkRegion.Two or LinkRegion.Three ? FrequencyElsewhere ?? Frequency : Frequency;
}
