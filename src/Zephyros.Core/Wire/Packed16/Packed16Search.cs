namespace Zephyros.Core.Wire.Packed16;

/// <summary>Finds Packed 16 frames in a stream.</summary>
public sealed class Packed16Search() : FixedFrames(Packed16Format.FrameBytes)
{
    /// <inheritdoc />
    protected override bool MayBegin(ReadOnlySpan<byte> bytes) => bytes[0] == Packed16Format.Header;

    /// <inheritdoc />
    protected override bool LooksGood(ReadOnlySpan<byte> frame) => Packed16Codec.LooksGood(frame);
}
