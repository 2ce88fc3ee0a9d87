using System.Globalization;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;

namespace Zephyros.Core.Board;

/// <summary>The names of spans.</summary>
public static class SpanNumberings
{
    /// <summary>What a board calls the span of an axis.</summary>
    /// <param name="numbering">How it names them.</param>
    /// <param name="map">From which channel it reads which axis.</param>
    /// <param name="axis">The axis.</param>
    public static string NameOf(this SpanNumbering numbering, StickOrder map, StickAxis axis)
    {
        var channel = map.ChannelOf(axis).Value;
        return numbering switch
        {
            SpanNumbering.Channel => $"span {channel.ToString(CultureInfo.InvariantCulture)} ({axis.Word()})",
            SpanNumbering.ChannelFromZero =>
                $"span {(channel - 1).ToString(CultureInfo.InvariantCulture)} ({axis.Word()})",
            SpanNumbering.Axis => $"span of {axis.Word()}",
        };
    }
}
