namespace Zephyros.Core.Wire.Packed16;

/// <summary>Finds Packed 16 frames in a stream of bytes that may start anywhere, be split anywhere and be damaged.</summary>
/// <remarks>It locks on after a gap before a frame, or when two good frames stand back to back; once locked it takes frame
/// after frame until one is damaged, and then looks again from the next byte. Not safe for use by several threads.</remarks>
public sealed class Packed16Decoder
{
    private const int Pair = 2 * Packed16Format.FrameBytes;

    private readonly byte[] held = new byte[Pair];
    private int count;
    private bool locked;

    /// <summary>How many times a frame was expected and a damaged one came.</summary>
    public long DamagedFrames { get; private set; }

    /// <summary>Says that the line was idle for longer than a byte: what comes next begins a frame, and what was held is no frame.</summary>
    public void Gap()
    {
        if (locked && count > 0)
            DamagedFrames++;
        count = 0;
        locked = true;
    }

    /// <summary>Takes bytes until a frame is complete or the bytes are used up.</summary>
    /// <param name="bytes">The bytes to read; on return, those that are left.</param>
    /// <param name="frame">The frame, when one was found.</param>
    /// <returns>True when a frame was found: call again with what is left. False when all bytes were used.</returns>
    public bool TryRead(ref ReadOnlySpan<byte> bytes, out Packed16Frame frame)
    {
        while (true)
        {
            // Fast road: locked, nothing held, a whole frame at hand: no copy.
            if (
                locked
                && count == 0
                && bytes.Length >= Packed16Format.FrameBytes
                && Packed16Codec.TryDecode(bytes, out frame)
            )
            {
                bytes = bytes[Packed16Format.FrameBytes..];
                return true;
            }

            var wanted = locked ? Packed16Format.FrameBytes : Pair;
            var taken = Math.Min(Math.Max(wanted - count, 0), bytes.Length);
            bytes[..taken].CopyTo(held.AsSpan(count));
            count += taken;
            bytes = bytes[taken..];
            if (count < wanted)
            {
                frame = default;
                return false;
            }

            if (TryTakeHeld(out frame))
                return true;
        }
    }

    // The held bytes are as many as the state asks for. Either a frame comes out of them, or they give way by one byte.
    private bool TryTakeHeld(out Packed16Frame frame)
    {
        if (!locked)
            locked = Packed16Codec.LooksGood(held) && Packed16Codec.LooksGood(held.AsSpan(Packed16Format.FrameBytes));
        if (locked && Packed16Codec.TryDecode(held, out frame))
        {
            Drop(Packed16Format.FrameBytes);
            return true;
        }

        if (locked)
            DamagedFrames++;
        locked = false;
        frame = default;
        DropToNextHeader();
        return false;
    }

    private void DropToNextHeader()
    {
        var next = held.AsSpan(1, count - 1).IndexOf(Packed16Format.Header);
        Drop(next < 0 ? count : next + 1);
    }

    private void Drop(int bytes)
    {
        held.AsSpan(bytes, count - bytes).CopyTo(held);
        count -= bytes;
    }
}
