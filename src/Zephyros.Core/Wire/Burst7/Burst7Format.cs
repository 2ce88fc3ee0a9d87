using System.Buffers.Binary;
using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Burst7;

/// <summary>Burst 7: seven words in 16 bytes; every word names its channel. Twelve channels take two frames.</summary>
/// <remarks>Layout from memory: fade count, system byte, seven 16-bit big-endian words. A fine word has
/// the channel in bits 14 to 11 and the value in bits 10 to 0, and bit 15 of the first word marks the second frame; a coarse word has the
/// channel in bits 13 to 10 and the value in bits 9 to 0; 0xFFFF is an unused word. Ids count throttle, roll, pitch, yaw, then the
/// auxiliary channels: channel n has id n - 1, so a sender of this format sends T A E R. There is no checksum.</remarks>
public sealed class Burst7Format : SerialCodec
{
    /// <summary>Bytes in a frame.</summary>
    public const int FrameBytes = 16;

    private const int Words = 7;
    private const int FirstWord = 2;
    private const ushort Unused = 0xFFFF;
    private const ushort SecondFrame = 0x8000;

    [Figure(Station.Wire, "Burst 7: the full range of a word is", ProvenanceKind.FromMemory, Unit = "µs")]
    private const double Travel = 1194;

    private readonly int bits;

    private Burst7Format(int bits) => (this.bits, Descriptor) = (bits, Describe(bits));

    /// <summary>The form with 11-bit words: twelve channels in two frames.</summary>
    public static Burst7Format Fine { get; } = new(11);

    /// <summary>The form with 10-bit words: seven channels in one frame.</summary>
    public static Burst7Format Coarse { get; } = new(10);

    /// <inheritdoc />
    public override WireDescriptor Descriptor { get; }

    private int LargestCount => (1 << bits) - 1;

    /// <inheritdoc />
    public override int Write(ReadOnlySpan<int> counts, int turn, Span<byte> bytes)
    {
        var part = turn % Descriptor.FramesForAll;
        (bytes[0], bytes[1]) = (0, 0);
        for (var word = 0; word < Words; word++)
        {
            var channel = (part * Words) + word;
            var value =
                channel < Descriptor.Channels
                    ? (ushort)((channel << bits) | Math.Clamp(counts[channel], 0, LargestCount))
                    : Unused;
            if (part > 0 && word == 0)
                value |= SecondFrame;
            BinaryPrimitives.WriteUInt16BigEndian(bytes[(FirstWord + (2 * word))..], value);
        }

        return FrameBytes;
    }

    /// <inheritdoc />
    public override string NameOf(ReadOnlySpan<byte> frame, int at) =>
        at switch
        {
            0 => "fades",
            1 => "system",
            _ when Channel(frame, (at - FirstWord) / 2) is >= 0 and var channel => $"ch {channel + 1}",
            _ => "unused",
        };

    /// <inheritdoc />
    public override FrameSearch CreateSearch() => new Search(this);

    /// <inheritdoc />
    public override FrameKind Read(ReadOnlySpan<byte> frame, Span<int> counts)
    {
        for (var word = 0; word < Words; word++)
            if (Channel(frame, word) is >= 0 and var channel && channel < Descriptor.Channels)
                counts[channel] = Word(frame, word) & LargestCount;
        return FrameKind.Channels;
    }

    /// <inheritdoc />
    public override byte? MissedSoFar(ReadOnlySpan<byte> frame) => frame[0];

    private static ushort Word(ReadOnlySpan<byte> frame, int word) =>
        BinaryPrimitives.ReadUInt16BigEndian(frame[(FirstWord + (2 * word))..]);

    // The id of a word, or -1 for an unused one. The mark of the second frame is no part of it.
    private int Channel(ReadOnlySpan<byte> frame, int word)
    {
        var value = Word(frame, word);
        if (value == Unused)
            return -1;
        return bits == 11 ? (value & ~SecondFrame) >> bits : value >> bits;
    }

    private static WireDescriptor Describe(int bits)
    {
        var framing = new SerialFraming(115_200, Parity.None, 1, Inverted: false);
        var step = Travel / (1 << bits);
        var fine = bits == 11;
        return new WireDescriptor
        {
            Name = fine ? "Burst 7" : "Burst 7, 10-bit words",
            Line = framing.Words,
            Framing = framing,
            FrameBytes = FrameBytes,
            Channels = fine ? 12 : Words,
            FramesForAll = fine ? 2 : 1,
            Zero = new Microseconds(Microseconds.Neutral.Value - (step * (1 << (bits - 1)))),
            Step = new Microseconds(step),
            SmallestCount = 0,
            LargestCount = (1 << bits) - 1,
            UsualPeriods = [new(11), new(22)],
            TimeOnWire = WireDescriptor.TimeOf(FrameBytes, framing),
            LossShownBy = "frames stop; the fade count rises",
            Wires = "the receiver's signal to the receive pad of a port",
            Provenance = Provenance.Memory(),
        };
    }

    // Without a checksum a frame is told by its ids: those of known channels, each once.
    private sealed class Search(Burst7Format format) : FixedFrames(FrameBytes)
    {
        protected override bool LooksGood(ReadOnlySpan<byte> frame)
        {
            var seen = 0;
            for (var word = 0; word < Words; word++)
            {
                if (word > 0 && format.bits == 11 && Word(frame, word) is >= SecondFrame and < Unused)
                    return false;
                var channel = format.Channel(frame, word);
                if (channel < 0)
                    continue;
                if (channel >= format.Descriptor.Channels || (seen >> channel & 1) != 0)
                    return false;
                seen |= 1 << channel;
            }

            return seen != 0;
        }
    }
}
