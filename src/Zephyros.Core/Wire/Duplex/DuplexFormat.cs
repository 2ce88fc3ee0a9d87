using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Duplex;

/// <summary>Duplex packets: packets with length, type and checksum, both ways on two wires.</summary>
/// <remarks>Layout from memory: 0xC8, the length of what follows, a type, the payload, and a CRC-8 over type
/// and payload. Type 0x16 carries sixteen 11-bit counts packed as in Packed 16.</remarks>
public sealed class DuplexFormat : SerialCodec
{
    /// <summary>The first byte of every packet.</summary>
    public const byte Header = 0xC8;

    /// <summary>The longest packet, in bytes.</summary>
    public const int LongestPacket = 64;

    private const byte ChannelsType = 0x16;
    private const int Channels = 16;
    private const int PackedBytes = 22;
    private const int LargestCount = 2047;

    private DuplexFormat() { }

    /// <summary>The format.</summary>
    public static DuplexFormat Instance { get; } = new();

    /// <inheritdoc />
    public override WireDescriptor Descriptor { get; } = Describe();

    /// <inheritdoc />
    public override int Write(ReadOnlySpan<int> counts, int turn, Span<byte> bytes)
    {
        var frame = default(Packed16.Packed16Frame);
        for (var i = 0; i < Channels; i++)
            frame[i] = (ushort)Math.Clamp(counts[i], 0, LargestCount);
        Packed16.Packed16Codec.Pack(frame, bytes.Slice(DuplexPacket.PayloadAt, PackedBytes));
        return DuplexPacket.Close(ChannelsType, PackedBytes, bytes);
    }

    /// <inheritdoc />
    public override string NameOf(ReadOnlySpan<byte> frame, int at)
    {
        if (at < DuplexPacket.PayloadAt)
            return at switch
            {
                0 => "header",
                1 => "length",
                _ => "type",
            };
        if (at == frame.Length - 1)
            return "checksum";
        return frame[2] == ChannelsType ? Packed16.Packed16Format.ChannelsOf(at - DuplexPacket.PayloadAt) : "payload";
    }

    /// <inheritdoc />
    public override FrameSearch CreateSearch() => new Search();

    /// <inheritdoc />
    public override FrameKind Read(ReadOnlySpan<byte> frame, Span<int> counts)
    {
        var packet = DuplexPacket.Of(frame);
        if (packet.Type != ChannelsType || packet.Payload.Length != PackedBytes)
            return FrameKind.Other;
        var read = Packed16.Packed16Codec.Unpack(packet.Payload);
        for (var i = 0; i < Channels; i++)
            counts[i] = read[i];
        return FrameKind.Channels;
    }

    private static WireDescriptor Describe()
    {
        var framing = new SerialFraming(420_000, Parity.None, 1, Inverted: false);
        var bytes = DuplexPacket.Overhead + PackedBytes;
        return new WireDescriptor
        {
            Name = "Duplex packets",
            Line = framing.Words + ", both ways; some send 416 666",
            Framing = framing,
            FrameBytes = bytes,
            Channels = Channels,
            Zero = Packed16.Packed16Format.Instance.Descriptor.Zero,
            Step = Packed16.Packed16Format.Instance.Descriptor.Step,
            FramesForAll = 1,
            SmallestCount = 0,
            LargestCount = LargestCount,
            UsualPeriods = [new(2), new(4), new(20)],
            TimeOnWire = WireDescriptor.TimeOf(bytes, framing),
            LossShownBy = "frames stop",
            Wires = "two: the receiver's transmit pad to the port's receive pad, and the other way round",
            TwoWay = true,
            HasChecksum = true,
            Provenance = Provenance.Memory(),
        };
    }

    private sealed class Search() : FrameSearch(LongestPacket)
    {
        // A type and a checksum are the least that can follow.
        private const int ShortestRest = 2;

        protected override int Look(ReadOnlySpan<byte> bytes)
        {
            if (bytes[0] != Header)
                return 0;
            if (bytes.Length < 2)
                return -1;
            var length = bytes[1] + 2;
            if (bytes[1] < ShortestRest || length > LongestPacket)
                return 0;
            if (bytes.Length < length)
                return bytes.Length - length;
            return DuplexPacket.IsWhole(bytes[..length]) ? length : 0;
        }
    }
}
