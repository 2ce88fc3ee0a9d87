namespace Zephyros.Core.Wire.Duplex;

/// <summary>The link as receiver and transmitter see it; sent towards the board and, as telemetry, back to the hands.</summary>
/// <remarks>Layout from memory: ten bytes, type 0x14.</remarks>
/// <param name="UplinkStrength">The strength at the receiver's two antennas, in dBm, 0 down to -255.</param>
/// <param name="UplinkQuality">The share of packets that arrive at the receiver, 0 to 100 %.</param>
/// <param name="UplinkSnr">The ratio of signal to noise there, in dB, -128 to 127.</param>
/// <param name="ActiveAntenna">The antenna in use, 0 or 1.</param>
/// <param name="RateIndex">Which packet rate, as the system numbers them.</param>
/// <param name="PowerIndex">Which power, as the system numbers them.</param>
/// <param name="DownlinkStrength">The strength at the transmitter, in dBm.</param>
/// <param name="DownlinkQuality">The share of telemetry packets that arrive, 0 to 100 %.</param>
/// <param name="DownlinkSnr">The ratio of signal to noise there, in dB.</param>
public sealed record LinkStatistics(
    (int One, int Two) UplinkStrength,
    int UplinkQuality,
    int UplinkSnr,
    int ActiveAntenna,
    int RateIndex,
    int PowerIndex,
    int DownlinkStrength,
    int DownlinkQuality,
    int DownlinkSnr
)
{
    private const byte Type = 0x14;
    private const int PayloadBytes = 10;

    /// <summary>Writes the packet; values beyond their byte saturate.</summary>
    /// <returns>Its bytes.</returns>
    public int Write(Span<byte> bytes)
    {
        var payload = bytes.Slice(DuplexPacket.PayloadAt, PayloadBytes);
        payload[0] = Strength(UplinkStrength.One);
        payload[1] = Strength(UplinkStrength.Two);
        payload[2] = Whole(UplinkQuality);
        payload[3] = Signed(UplinkSnr);
        payload[4] = Whole(ActiveAntenna);
        payload[5] = Whole(RateIndex);
        payload[6] = Whole(PowerIndex);
        payload[7] = Strength(DownlinkStrength);
        payload[8] = Whole(DownlinkQuality);
        payload[9] = Signed(DownlinkSnr);
        return DuplexPacket.Close(Type, PayloadBytes, bytes);
    }

    /// <summary>Reads a packet; null when it is another one.</summary>
    public static LinkStatistics? Read(ReadOnlySpan<byte> frame)
    {
        var packet = DuplexPacket.Of(frame);
        if (packet.Type != Type || packet.Payload.Length < PayloadBytes)
            return null;
        var p = packet.Payload;
        return new((-p[0], -p[1]), p[2], (sbyte)p[3], p[4], p[5], p[6], -p[7], p[8], (sbyte)p[9]);
    }

    private static byte Strength(int dBm) => Whole(-dBm);

    private static byte Whole(int value) => (byte)Math.Clamp(value, 0, 255);

    private static byte Signed(int value) => (byte)(sbyte)Math.Clamp(value, sbyte.MinValue, sbyte.MaxValue);
}
