namespace Zephyros.Core.Wire;

/// <summary>A wire format made of bytes.</summary>
public abstract class SerialCodec : WireCodec
{
    /// <summary>How bytes stand on the line.</summary>
    public SerialFraming Framing => Descriptor.Framing!;

    /// <summary>Writes a frame.</summary>
    /// <param name="counts">The count of each channel, channel 1 first; as many as the format has channels. Counts beyond what the
    /// format carries saturate.</param>
    /// <param name="turn">Counts the frames: a format that needs several for all channels sends the next part.</param>
    /// <param name="bytes">Takes the frame; at least <see cref="WireDescriptor.FrameBytes"/> long.</param>
    /// <returns>How many bytes were written.</returns>
    public abstract int Write(ReadOnlySpan<int> counts, int turn, Span<byte> bytes);

    /// <summary>A new search for frames in a stream.</summary>
    public abstract FrameSearch CreateSearch();

    /// <summary>Reads a frame that the search has found.</summary>
    /// <param name="frame">The bytes of the frame.</param>
    /// <param name="counts">Takes the counts of the channels that the frame carries; others keep what they had.</param>
    /// <returns>What the frame is.</returns>
    public abstract FrameKind Read(ReadOnlySpan<byte> frame, Span<int> counts);

    /// <summary>What a frame says about a loss itself; null when it says nothing, or the format has no way to.</summary>
    /// <param name="frame">The bytes of the frame.</param>
    public virtual LossKind? LossSaidBy(ReadOnlySpan<byte> frame) => null;

    /// <summary>Makes a frame say that something was lost, where the format has a way to.</summary>
    /// <param name="frame">The bytes of the frame.</param>
    /// <param name="kind">What it says.</param>
    public virtual void Say(Span<byte> frame, LossKind kind) { }

    /// <summary>How many packets the receiver says that it has missed so far, counting on from 255 with 0; null when the format has no such
    /// count.</summary>
    /// <param name="frame">The bytes of the frame.</param>
    public virtual byte? MissedSoFar(ReadOnlySpan<byte> frame) => null;

    /// <summary>What a byte of a frame is, in a few words, such as "header" or "checksum".</summary>
    /// <param name="frame">The frame.</param>
    /// <param name="at">The place of the byte.</param>
    public abstract string NameOf(ReadOnlySpan<byte> frame, int at);

    /// <inheritdoc />
    public override WireLine CreateLine(int channels) => new Line(this);

    private sealed class Line(SerialCodec codec) : WireLine
    {
        private readonly FrameSearch search = codec.CreateSearch();
        private readonly byte[] bytes = new byte[codec.Descriptor.FrameBytes];
        private int turn;

        public override bool Carry(ReadOnlySpan<int> sent, Span<int> received)
        {
            search.Gap();
            ReadOnlySpan<byte> rest = bytes.AsSpan(0, codec.Write(sent, turn++, bytes));
            var fresh = false;
            while (search.TryFind(ref rest, out var frame))
                fresh |= codec.Read(frame, received) == FrameKind.Channels;
            // Until every channel was sent once there is nothing to go by.
            return fresh && turn >= codec.Descriptor.FramesForAll;
        }

        public override WireLine Copy() => new Line(codec) { turn = turn };
    }
}
