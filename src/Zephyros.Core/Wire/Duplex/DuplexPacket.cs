namespace Zephyros.Core.Wire.Duplex;

/// <summary>One packet of the Duplex format.</summary>
public readonly ref struct DuplexPacket
{
    /// <summary>Where the payload begins: after header, length and type.</summary>
    public const int PayloadAt = 3;

    /// <summary>Bytes of a packet besides its payload.</summary>
    public const int Overhead = 4;

    private DuplexPacket(byte type, ReadOnlySpan<byte> payload)
    {
        Type = type;
        Payload = payload;
    }

    /// <summary>What the packet is.</summary>
    public byte Type { get; }

    /// <summary>What it carries.</summary>
    public ReadOnlySpan<byte> Payload { get; }

    /// <summary>Takes a good packet apart.</summary>
    public static DuplexPacket Of(ReadOnlySpan<byte> bytes) => new(bytes[2], bytes[PayloadAt..^1]);

    /// <summary>Writes header, length, type and checksum around a payload that stands in its place already.</summary>
    /// <param name="type">The type.</param>
    /// <param name="payload">The bytes of the payload.</param>
    /// <param name="bytes">The packet.</param>
    /// <returns>The bytes of the whole packet.</returns>
    public static int Close(byte type, int payload, Span<byte> bytes)
    {
        (bytes[0], bytes[1], bytes[2]) = (DuplexFormat.Header, (byte)(payload + 2), type);
        bytes[PayloadAt + payload] = Crc8.Of(bytes.Slice(2, payload + 1));
        return payload + Overhead;
    }

    /// <summary>True when the checksum is right.</summary>
    public static bool IsWhole(ReadOnlySpan<byte> packet) => Crc8.Of(packet[2..^1]) == packet[^1];
}
