using System.Buffers.Binary;

namespace Zephyros.Core.Wire.Duplex;

/// <summary>The flight battery as the board reports it.</summary>
/// <remarks>Layout from memory: type 0x08; tenths of a volt and of an ampere in two bytes each, mAh in three,
/// percent in one, big-endian.</remarks>
/// <param name="Decivolts">The voltage in 0.1 V, 0 to 65535.</param>
/// <param name="Deciamperes">The current in 0.1 A, 0 to 65535.</param>
/// <param name="Used">The charge taken out, in mAh, 0 to 16 777 215.</param>
/// <param name="Left">What is left, 0 to 100 %.</param>
public sealed record BatteryReport(int Decivolts, int Deciamperes, int Used, int Left)
{
    private const byte Type = 0x08;
    private const int PayloadBytes = 8;
    private const int LargestCharge = (1 << 24) - 1;

    /// <summary>Writes the packet; values beyond their bytes saturate.</summary>
    /// <returns>Its bytes.</returns>
    public int Write(Span<byte> bytes)
    {
        var payload = bytes.Slice(DuplexPacket.PayloadAt, PayloadBytes);
        BinaryPrimitives.WriteUInt16BigEndian(payload, (ushort)Math.Clamp(Decivolts, 0, ushort.MaxValue));
        BinaryPrimitives.WriteUInt16BigEndian(payload[2..], (ushort)Math.Clamp(Deciamperes, 0, ushort.MaxValue));
        var used = Math.Clamp(Used, 0, LargestCharge);
        payload[4] = (byte)(used >> 16);
        BinaryPrimitives.WriteUInt16BigEndian(payload[5..], (ushort)used);
        payload[7] = (byte)Math.Clamp(Left, 0, 255);
        return DuplexPacket.Close(Type, PayloadBytes, bytes);
    }

    /// <summary>Reads a packet; null when it is another one.</summary>
    public static BatteryReport? Read(ReadOnlySpan<byte> frame)
    {
        var packet = DuplexPacket.Of(frame);
        if (packet.Type != Type || packet.Payload.Length < PayloadBytes)
            return null;
        var p = packet.Payload;
        return new(
            BinaryPrimitives.ReadUInt16BigEndian(p),
            BinaryPrimitives.ReadUInt16BigEndian(p[2..]),
            (p[4] << 16) | BinaryPrimitives.ReadUInt16BigEndian(p[5..]),
            p[7]
        );
    }
}
