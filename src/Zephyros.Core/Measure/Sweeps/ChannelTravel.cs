using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>One stick channel as it was measured, and both ways to put it right.</summary>
/// <param name="Axis">The axis whose bar was looked at.</param>
/// <param name="Channel">The channel that the board reads it from.</param>
/// <param name="Raw">What was measured, as it arrives on the wire.</param>
/// <param name="Span">The span that the board must be told.</param>
/// <param name="SpanName">What the board calls it.</param>
/// <param name="Ends">The transmitter's settings; null when the model does not send this stick on a channel of its own.</param>
/// <param name="Before">What it does as it is.</param>
/// <param name="AfterSpan">What it does once the board is told the span.</param>
/// <param name="AfterEnds">What it does once the transmitter's ends are set; null without <paramref name="Ends"/>.</param>
public sealed record ChannelTravel(
    StickAxis Axis,
    ChannelNumber Channel,
    Sweep Raw,
    ChannelSpan Span,
    string SpanName,
    EndFit? Ends,
    TravelEffect Before,
    TravelEffect AfterSpan,
    TravelEffect? AfterEnds
);
