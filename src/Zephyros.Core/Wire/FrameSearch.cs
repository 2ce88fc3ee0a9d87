namespace Zephyros.Core.Wire;

/// <summary>Finds the frames of a format in a stream of bytes that may start anywhere, be split anywhere and be damaged.</summary>
/// <remarks>It locks on after a gap before a frame, or when two good frames stand back to back; once locked it takes frame after frame
/// until one is damaged, and then looks again from the next byte. Not safe for use by several threads.</remarks>
public abstract class FrameSearch
{
    private readonly byte[] held;
    private int count;
    private int given;
    private bool locked;

    /// <summary>Gets ready.</summary>
    /// <param name="longest">The bytes of the longest frame.</param>
    protected FrameSearch(int longest) => held = new byte[2 * longest];

    /// <summary>How many good frames were found.</summary>
    public long GoodFrames { get; private set; }

    /// <summary>How many times a frame was expected and a damaged one came.</summary>
    public long DamagedFrames { get; private set; }

    /// <summary>Says that the line was idle for longer than a byte: what comes next begins a frame, and what was held is no frame.</summary>
    public void Gap()
    {
        DropGiven();
        if (locked && count > 0)
            DamagedFrames++;
        count = 0;
        locked = true;
    }

    /// <summary>How many bytes that were taken lie behind the frame that was found last.</summary>
    public int Held => count - given;

    /// <summary>Says that a byte was damaged: what was held is no frame, and the next frame has to be found anew.</summary>
    public void Break()
    {
        DropGiven();
        if (locked)
            DamagedFrames++;
        count = 0;
        locked = false;
    }

    /// <summary>Takes bytes until a frame is complete or the bytes are used up.</summary>
    /// <param name="bytes">The bytes to read; on return, those that are left.</param>
    /// <param name="frame">The frame, when one was found; it stays as it is until the next call.</param>
    /// <returns>True when a frame was found: call again with what is left. False when all bytes were used.</returns>
    public bool TryFind(ref ReadOnlySpan<byte> bytes, out ReadOnlySpan<byte> frame)
    {
        DropGiven();
        while (true)
        {
            // Fast road: locked, nothing held, a whole frame at hand: no copy.
            if (locked && count == 0 && !bytes.IsEmpty && Look(bytes) is > 0 and var length)
            {
                frame = bytes[..length];
                bytes = bytes[length..];
                GoodFrames++;
                return true;
            }

            var wanted = TryHeld(out given);
            if (given > 0)
            {
                frame = held.AsSpan(0, given);
                GoodFrames++;
                return true;
            }

            if (bytes.IsEmpty)
            {
                frame = default;
                return false;
            }

            var taken = Math.Min(Math.Min(wanted, bytes.Length), held.Length - count);
            bytes[..taken].CopyTo(held.AsSpan(count));
            count += taken;
            bytes = bytes[taken..];
        }
    }

    /// <summary>Looks whether a good frame begins with some bytes.</summary>
    /// <param name="bytes">One byte or more.</param>
    /// <returns>The length of the frame; 0 when none begins here; -n when at least n more bytes are needed to tell.</returns>
    protected abstract int Look(ReadOnlySpan<byte> bytes);

    // Gives a frame out of the held bytes, or says how many more are needed.
    private int TryHeld(out int length)
    {
        length = 0;
        while (count > 0)
        {
            var here = Look(held.AsSpan(0, count));
            if (here < 0)
                return -here;
            if (here > 0 && locked)
            {
                length = here;
                return 0;
            }

            if (here > 0)
            {
                var next = here < count ? Look(held.AsSpan(here, count - here)) : -1;
                if (next < 0)
                    return -next;
                if (next > 0)
                {
                    locked = true;
                    continue;
                }
            }

            if (locked)
                DamagedFrames++;
            locked = false;
            Drop(1);
        }

        return 1;
    }

    private void DropGiven()
    {
        Drop(given);
        given = 0;
    }

    private void Drop(int bytes)
    {
        if (bytes == 0)
            return;
        held.AsSpan(bytes, count - bytes).CopyTo(held);
        count -= bytes;
    }
}
