using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>One channel as a chain, read from left to right: take a source, steps, then the output stage.</summary>
public sealed record Channel
{
    /// <summary>The number under which it is sent, 1 to the transmitter's channel count.</summary>
    [Description("The number under which the channel is sent; AUX n is number n + 4.")]
    [Range(1, 32)]
    public required ChannelNumber Number { get; init; }

    /// <summary>What the channel carries, in the pilot's words.</summary>
    [Description("What the channel carries, in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The name in the transmitter's own short form; empty when the label fits.</summary>
    [Description("The name in the transmitter's short form; empty when the label fits.")]
    [StringLength(15)]
    public string Short { get; init; } = "";

    /// <summary>The source of the chain.</summary>
    [Description("The source of the chain.")]
    public required Source Take { get; init; }

    /// <summary>The steps between source and output stage, by id.</summary>
    [Description("The steps between source and output stage, by id.")]
    public ImmutableDictionary<string, ChainStep> Steps { get; init; } = ImmutableDictionary<string, ChainStep>.Empty;

    /// <summary>The output stage.</summary>
    [Description("The output stage: direction, centre and ends.")]
    public OutputStage Output { get; init; } = new();

    /// <summary>The steps in the order in which they run: by <see cref="ChainStep.Order"/>, ties by id.</summary>
    [JsonIgnore]
    public IReadOnlyList<KeyValuePair<string, ChainStep>> OrderedSteps =>
        [.. Steps.OrderBy(s => s.Value.Order).ThenBy(s => s.Key, StringComparer.Ordinal)];
}
