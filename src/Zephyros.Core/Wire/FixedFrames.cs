namespace Zephyros.Core.Wire;

/// <summary>A search for frames that all have one length.</summary>
public abstract class FixedFrames : FrameSearch
{
    private readonly int length;

    /// <summary>Gets ready.</summary>
    /// <param name="length">The bytes of every frame.</param>
    protected FixedFrames(int length)
        : base(length) => this.length = length;

    /// <inheritdoc />
    protected sealed override int Look(ReadOnlySpan<byte> bytes)
    {
        if (!MayBegin(bytes))
            return 0;
        if (bytes.Length < length)
            return bytes.Length - length;
        return LooksGood(bytes[..length]) ? length : 0;
    }

    /// <summary>True when a frame may begin with these bytes, of which there is at least one.</summary>
    protected virtual bool MayBegin(ReadOnlySpan<byte> bytes) => true;

    /// <summary>True when these bytes are a good frame.</summary>
    protected abstract bool LooksGood(ReadOnlySpan<byte> frame);
}
