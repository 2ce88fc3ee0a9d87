namespace Zephyros.Core.Board;

/// <summary>How a board names the spans that it is told: a pilot who types one under another's number stretches the wrong stick.</summary>
public enum SpanNumbering
{
    /// <summary>By the axis; they have no numbers.</summary>
    Axis,

    /// <summary>By the channel on the wire, counted from 1.</summary>
    Channel,

    /// <summary>By the channel on the wire, counted from 0.</summary>
    ChannelFromZero,
}
