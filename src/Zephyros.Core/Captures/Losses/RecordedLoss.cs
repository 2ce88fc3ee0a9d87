using Zephyros.Core.Units;

namespace Zephyros.Core.Captures.Losses;

/// <summary>A loss of the signal in a recording of the wire: what the receiver did, and when.</summary>
/// <param name="Manner">What it did.</param>
/// <param name="Flagged">True when its frames say meanwhile that the signal is lost.</param>
/// <param name="LastFresh">When the last fresh values came; null when that cannot be told, because nothing moved before.</param>
/// <param name="GivesUp">When it gave up, and did what it does; null for one that holds and does not say so.</param>
/// <param name="Within">How much later than <paramref name="LastFresh"/> the last packet may have come: what moves, moves in steps.</param>
/// <param name="Ends">When fresh values came again, or the recording ended.</param>
/// <param name="Presets">The count of each channel that it changed when it gave up; empty but for presets.</param>
/// <param name="Kept">The count at which each other channel stayed, whether as its preset or as its last value; empty but for presets.</param>
public sealed record RecordedLoss(
    LossManner Manner,
    bool Flagged,
    Milliseconds? LastFresh,
    Milliseconds? GivesUp,
    Milliseconds Within,
    Milliseconds Ends,
    IReadOnlyDictionary<ChannelNumber, int> Presets,
    IReadOnlyDictionary<ChannelNumber, int> Kept
)
{
    /// <summary>How long the receiver goes on after the last packet until it gives up; null when that cannot be told.</summary>
    public Milliseconds? Delay => GivesUp is { } gave && LastFresh is { } fresh ? gave - fresh : null;
}
