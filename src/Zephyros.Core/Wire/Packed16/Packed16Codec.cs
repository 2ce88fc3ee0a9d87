using System.Buffers.Binary;

namespace Zephyros.Core.Wire.Packed16;

/// <summary>Writes and reads the bytes of one Packed 16 frame.</summary>
/// <remarks>Channel 1 fills the lowest eleven bits of the 22 data bytes, least significant bit first; eight channels fill
/// exactly eleven bytes, so the frame is two equal halves.</remarks>
public static class Packed16Codec
{
    private const int HalfChannels = 8;
    private const int HalfBytes = 11;
    private const uint CountMask = Packed16Format.LargestCount;

    /// <summary>Writes a frame.</summary>
    /// <param name="frame">The counts and flags. Counts above 2047 lose their upper bits: make counts with
    /// <see cref="WireDescriptor.ToCount"/>, which saturates.</param>
    /// <param name="bytes">Takes the frame; at least 25 bytes.</param>
    /// <exception cref="ArgumentException">The target is shorter than a frame.</exception>
    public static void Encode(in Packed16Frame frame, Span<byte> bytes)
    {
        if (bytes.Length < Packed16Format.FrameBytes)
            throw new ArgumentException("A Packed 16 frame takes 25 bytes.", nameof(bytes));
        bytes[0] = Packed16Format.Header;
        Pack(frame, bytes.Slice(1, 2 * HalfBytes));
        bytes[23] = (byte)((byte)frame.Flags & ~Packed16Format.UnusedFlags);
        bytes[24] = Packed16Format.End;
    }

    /// <summary>Reads a frame.</summary>
    /// <param name="bytes">Exactly the bytes of one candidate; at least 25.</param>
    /// <param name="frame">The frame, when it is a good one.</param>
    /// <returns>False when header, end byte or the four unused flag bits are wrong, or bytes are missing.</returns>
    public static bool TryDecode(ReadOnlySpan<byte> bytes, out Packed16Frame frame)
    {
        frame = default;
        if (!LooksGood(bytes))
            return false;
        frame = Unpack(bytes.Slice(1, 2 * HalfBytes));
        frame.Flags = (Packed16Flags)bytes[23];
        return true;
    }

    /// <summary>Packs the sixteen counts of a frame into 22 bytes.</summary>
    public static void Pack(in Packed16Frame frame, Span<byte> bytes)
    {
        EncodeHalf(frame, 0, bytes);
        EncodeHalf(frame, HalfChannels, bytes[HalfBytes..]);
    }

    /// <summary>The sixteen counts that 22 bytes hold.</summary>
    public static Packed16Frame Unpack(ReadOnlySpan<byte> bytes)
    {
        var frame = default(Packed16Frame);
        DecodeHalf(bytes, 0, ref frame);
        DecodeHalf(bytes[HalfBytes..], HalfChannels, ref frame);
        return frame;
    }

    /// <summary>True when header, end byte and unused flag bits are those of a frame.</summary>
    public static bool LooksGood(ReadOnlySpan<byte> bytes) =>
        bytes.Length >= Packed16Format.FrameBytes
        && bytes[0] == Packed16Format.Header
        && (bytes[23] & Packed16Format.UnusedFlags) == 0
        && Packed16Format.IsEnd(bytes[24]);

    // 88 bits: 64 in one word, 24 in the next. Channel 6 (index 5) straddles the two: 9 bits below, 2 above.
    private static void EncodeHalf(in Packed16Frame frame, int first, Span<byte> bytes)
    {
        ulong At(in Packed16Frame source, int i) => source[first + i] & CountMask;
        var straddling = At(frame, 5);
        var low =
            At(frame, 0)
            | (At(frame, 1) << 11)
            | (At(frame, 2) << 22)
            | (At(frame, 3) << 33)
            | (At(frame, 4) << 44)
            | (straddling << 55);
        var high = (uint)((straddling >> 9) | (At(frame, 6) << 2) | (At(frame, 7) << 13));
        BinaryPrimitives.WriteUInt64LittleEndian(bytes, low);
        BinaryPrimitives.WriteUInt16LittleEndian(bytes[8..], (ushort)high);
        bytes[10] = (byte)(high >> 16);
    }

    private static void DecodeHalf(ReadOnlySpan<byte> bytes, int first, ref Packed16Frame frame)
    {
        var low = BinaryPrimitives.ReadUInt64LittleEndian(bytes);
        var high = BinaryPrimitives.ReadUInt16LittleEndian(bytes[8..]) | ((uint)bytes[10] << 16);
        for (var i = 0; i < 5; i++)
            frame[first + i] = (ushort)((low >> (11 * i)) & CountMask);
        frame[first + 5] = (ushort)(((low >> 55) | (high << 9)) & CountMask);
        frame[first + 6] = (ushort)((high >> 2) & CountMask);
        frame[first + 7] = (ushort)((high >> 13) & CountMask);
    }
}
