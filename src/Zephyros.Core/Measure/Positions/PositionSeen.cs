using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Positions;

/// <summary>A switch or button was put into a position, and the board showed a value on a channel.</summary>
public sealed record PositionSeen
{
    /// <summary>The id of the control.</summary>
    [Description("The id of the control.")]
    [StringLength(32, MinimumLength = 1)]
    public required string Control { get; init; }

    /// <summary>The position; see <see cref="Hands.Control.Read"/>.</summary>
    [Description("The position that the control was put into.")]
    [Range(0, 6)]
    public required int Setting { get; init; }

    /// <summary>The channel that was looked at.</summary>
    [Description("The number of the channel that was looked at.")]
    [Range(1, ChannelNumber.Highest)]
    public required ChannelNumber Channel { get; init; }

    /// <summary>What the board showed.</summary>
    [Description("What the board shows, in microseconds.")]
    [Range(700, 2300)]
    public required Microseconds Value { get; init; }

    /// <summary>How far the value wanders while nothing is moved, from lowest to highest.</summary>
    [Description("How far the value wanders while nothing is moved, in microseconds.")]
    [Range(0, 200)]
    public Microseconds Jitter { get; init; }
}
