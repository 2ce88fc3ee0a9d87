using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>A function that is active while its AUX channel is inside a band.</summary>
public sealed record BoardFunction
{
    /// <summary>What the function does.</summary>
    [Description("What the function does.")]
    public required FunctionKind Kind { get; init; }

    /// <summary>The function in the pilot's words.</summary>
    [Description("The function in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The id of the transmitter control that is meant to work it; empty when none is, as for a signal quality.</summary>
    [Description("The id of the transmitter control that is meant to work the function; empty when none is.")]
    [StringLength(32)]
    public required string Control { get; init; }

    /// <summary>The AUX number that the board watches, 1 to 28; AUX n is channel n + 4.</summary>
    [Description("The AUX number that the board watches; AUX n is channel n + 4.")]
    [Range(1, 28)]
    public required int Aux { get; init; }

    /// <summary>The lowest value of the band; it belongs to the band.</summary>
    [Description("The lowest value of the band, in microseconds; it belongs to the band.")]
    [Range(800, 2200)]
    public required Microseconds Low { get; init; }

    /// <summary>The end of the band; it no longer belongs to it.</summary>
    [Description("The end of the band, in microseconds; it no longer belongs to the band.")]
    [Range(800, 2200)]
    public required Microseconds High { get; init; }

    /// <summary>The settings of <see cref="Control"/> in which the function is planned to be on, as <see cref="Hands.Control.Read"/>
    /// takes them; empty when the plan says nothing about positions, as for a stick or a button that is pushed and let go.</summary>
    [Description(
        "The positions of its control in which the function is planned to be on, and in no other; empty when nothing is planned."
    )]
    [Range(0, 6)]
    public ImmutableArray<int> Planned { get; init; } = [];

    /// <summary>The channel behind <see cref="Aux"/>.</summary>
    [JsonIgnore]
    public ChannelNumber Channel => ChannelNumber.FromAux(Aux);

    /// <summary>True when a value lies in the half-open band [low, high).</summary>
    public bool Contains(Microseconds value) => value >= Low && value < High;

    /// <summary>True while its channel arrives and lies inside the band.</summary>
    /// <param name="received">The value of each received channel, channel 1 first.</param>
    public bool IsActive(ReadOnlySpan<Microseconds> received) =>
        Channel.Value <= received.Length && Contains(received[Channel.Value - 1]);
}
