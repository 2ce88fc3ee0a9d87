using System.Buffers.Binary;
using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Word14;

/// <summary>Word 14: fourteen channels in whole microseconds, with a checksum, in 32 bytes.</summary>
/// <remarks>Layout from memory: 0x20 0x40, fourteen 16-bit words, then 0xFFFF less the sum of the first
/// thirty bytes; words and checksum are little-endian.</remarks>
public sealed class Word14Format : SerialCodec
{
    /// <summary>Bytes in a frame.</summary>
    public const int FrameBytes = 32;

    /// <summary>Channels in a frame.</summary>
    public const int Channels = 14;

    private const int Checked = FrameBytes - 2;

    // Wider than any servo pulse: what a receiver sends beyond is no value.
    private const int Shortest = 500;
    private const int Longest = 2500;

    private Word14Format() { }

    /// <summary>The format.</summary>
    public static Word14Format Instance { get; } = new();

    /// <inheritdoc />
    public override WireDescriptor Descriptor { get; } = Describe();

    /// <inheritdoc />
    public override int Write(ReadOnlySpan<int> counts, int turn, Span<byte> bytes)
    {
        (bytes[0], bytes[1]) = (0x20, 0x40);
        for (var i = 0; i < Channels; i++)
            BinaryPrimitives.WriteUInt16LittleEndian(
                bytes[(2 + (2 * i))..],
                (ushort)Math.Clamp(counts[i], Shortest, Longest)
            );
        BinaryPrimitives.WriteUInt16LittleEndian(bytes[Checked..], Checksum(bytes));
        return FrameBytes;
    }

    /// <inheritdoc />
    public override string NameOf(ReadOnlySpan<byte> frame, int at) =>
        at switch
        {
            < 2 => "header",
            >= Checked => "checksum",
            _ => $"ch {at / 2} {(at % 2 == 0 ? "low" : "high")}",
        };

    /// <inheritdoc />
    public override FrameSearch CreateSearch() => new Search();

    /// <inheritdoc />
    public override FrameKind Read(ReadOnlySpan<byte> frame, Span<int> counts)
    {
        for (var i = 0; i < Channels; i++)
            counts[i] = BinaryPrimitives.ReadUInt16LittleEndian(frame[(2 + (2 * i))..]);
        return FrameKind.Channels;
    }

    // 0xFFFF less the sum of the bytes before it.
    private static ushort Checksum(ReadOnlySpan<byte> frame)
    {
        var sum = 0;
        foreach (var value in frame[..Checked])
            sum += value;
        return (ushort)(0xFFFF - sum);
    }

    private static WireDescriptor Describe()
    {
        var framing = new SerialFraming(115_200, Parity.None, 1, Inverted: false);
        return new WireDescriptor
        {
            Name = "Word 14",
            Line = framing.Words,
            Framing = framing,
            FrameBytes = FrameBytes,
            Channels = Channels,
            Zero = new Microseconds(0),
            Step = new Microseconds(1),
            SmallestCount = Shortest,
            FramesForAll = 1,
            LargestCount = Longest,
            UsualPeriods = [new(7)],
            TimeOnWire = WireDescriptor.TimeOf(FrameBytes, framing),
            LossShownBy = "frames stop, or the receiver's presets",
            Wires = "the receiver's signal to the receive pad of a port",
            HasChecksum = true,
            Provenance = Provenance.Memory(),
        };
    }

    private sealed class Search() : FixedFrames(FrameBytes)
    {
        protected override bool MayBegin(ReadOnlySpan<byte> bytes) =>
            bytes[0] == 0x20 && (bytes.Length < 2 || bytes[1] == 0x40);

        protected override bool LooksGood(ReadOnlySpan<byte> frame) =>
            BinaryPrimitives.ReadUInt16LittleEndian(frame[Checked..]) == Checksum(frame);
    }
}
