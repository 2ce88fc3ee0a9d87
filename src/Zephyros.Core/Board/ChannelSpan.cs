using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>The measured travel of a stick channel, which the board scales to 1000 to 2000 µs.</summary>
/// <remarks>scaled = 1000 + 1000 (x - low) / (high - low), for the four stick channels only: common practice, no source.</remarks>
public sealed record ChannelSpan
{
    /// <summary>What arrives with the stick at its low end.</summary>
    [Description("What arrives with the stick at its low end, in microseconds.")]
    [Range(750, 1490)]
    public required Microseconds Low { get; init; }

    /// <summary>What arrives with the stick at its high end.</summary>
    [Description("What arrives with the stick at its high end, in microseconds.")]
    [Range(1510, 2250)]
    public required Microseconds High { get; init; }

    /// <summary>What the board makes of a value on the wire.</summary>
    public Microseconds Scale(Microseconds received) =>
        new(1000 + (1000 * (received - Low).Value / (High - Low).Value));

    /// <summary>The value on the wire of which the board makes a given one.</summary>
    public Microseconds Unscale(Microseconds scaled) =>
        new(Low.Value + ((scaled.Value - 1000) * (High - Low).Value / 1000));
}
