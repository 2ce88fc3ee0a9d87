using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>A good frame in a recording.</summary>
/// <param name="At">When it begins, in nanoseconds; in a dump of bytes, the place of its first byte.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Counts">The count of each channel as known after it.</param>
/// <param name="FirstByte">The place of its first byte among all bytes; 0 for a format made of pulses.</param>
/// <param name="Length">How many bytes it has; 0 for a format made of pulses.</param>
/// <param name="Says">What it says about a loss itself; null when it says nothing.</param>
public sealed record FoundFrame(
    long At,
    FrameKind Kind,
    IReadOnlyList<int> Counts,
    int FirstByte = 0,
    int Length = 0,
    LossKind? Says = null
);
