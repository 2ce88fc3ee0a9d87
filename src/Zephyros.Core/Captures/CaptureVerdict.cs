using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>What a recording was recognised as.</summary>
public sealed record CaptureVerdict
{
    /// <summary>The most values of a channel's course.</summary>
    public const int MostPoints = 240;

    /// <summary>The format; null when none fits.</summary>
    public required WireFormat? Format { get; init; }

    /// <summary>What the line speaks, in a sentence.</summary>
    public required string Title { get; init; }

    /// <summary>What was measured and what does not fit, a sentence each.</summary>
    public required IReadOnlyList<string> Notes { get; init; }

    /// <summary>True when the line idles high; null when that cannot be told.</summary>
    public bool? IdlesHigh { get; init; }

    /// <summary>True when the line idles the other way round than the format wants.</summary>
    public bool IsFlipped { get; init; }

    /// <summary>The bits per second as measured; null when the line is not serial.</summary>
    public double? Baud { get; init; }

    /// <summary>Parity and stop bits as read; null when the line is not serial.</summary>
    public SerialFraming? Framing { get; init; }

    /// <summary>The usual time from frame to frame; null with fewer than two frames, or without times.</summary>
    public Milliseconds? Interval { get; init; }

    /// <summary>How many frames were damaged.</summary>
    public long DamagedFrames { get; init; }

    /// <summary>What was lost.</summary>
    public CaptureLoss Loss { get; init; } = CaptureLoss.None;

    /// <summary>How many spikes were passed over: levels shorter than anything that the format has.</summary>
    public int Spikes { get; init; }

    /// <summary>The good frames.</summary>
    public IReadOnlyList<FoundFrame> Frames { get; init; } = [];

    /// <summary>The bytes of the line with their times; empty when the line is not serial.</summary>
    public IReadOnlyList<SerialByte> Bytes { get; init; } = [];

    /// <summary>What each channel did.</summary>
    public IReadOnlyList<ChannelTrack> Channels { get; init; } = [];
}
