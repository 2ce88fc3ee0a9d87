namespace Zephyros.Core.Wire.Duplex;

/// <summary>CRC-8 with polynomial 0xD5, initial value 0, not reflected, no final xor: the variant of DVB-S2 (ETSI EN 302 307).</summary>
/// <remarks>No checksum package of the registries that this project uses has this variant for .NET, so it stands here.</remarks>
public static class Crc8
{
    private const int Polynomial = 0xD5;
    private static readonly byte[] Table = [.. Enumerable.Range(0, 256).Select(Entry)];

    /// <summary>The checksum of some bytes.</summary>
    public static byte Of(ReadOnlySpan<byte> bytes)
    {
        byte crc = 0;
        foreach (var value in bytes)
            crc = Table[crc ^ value];
        return crc;
    }

    private static byte Entry(int value)
    {
        for (var bit = 0; bit < 8; bit++)
            value = (value & 0x80) != 0 ? (value << 1) ^ Polynomial : value << 1;
        return (byte)value;
    }
}
