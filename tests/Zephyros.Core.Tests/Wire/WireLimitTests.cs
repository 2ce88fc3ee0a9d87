using System.Numerics;
using Zephyros.Core.Captures;
using Zephyros.Core.Wire.Duplex;
using Zephyros.Core.Wire.Packed16;
using Zephyros.Core.Wire.Pulses;

namespace Zephyros.Core.Tests.Wire;

/// <summary>Packets byte by byte, and both sides of what a packet, a pulse and a file may be.</summary>
public sealed class WireLimitTests
{
    // Sixteen channels of eleven bits, the least first, as one large number (System.Numerics).
    [Fact]
    public void Every_bit_of_a_packed_channel_has_its_place()
    {
        for (var bit = 0; bit < 16 * 11; bit++)
        {
            var frame = default(Packed16Frame);
            frame[bit / 11] = (ushort)(1 << (bit % 11));
            var bytes = new byte[22];
            Packed16Codec.Pack(frame, bytes);
            Assert.Equal(BigInteger.One << bit, new BigInteger(bytes, isUnsigned: true));
            var read = Packed16Codec.Unpack(bytes);
            Assert.All(Enumerable.Range(0, 16), c => Assert.Equal(frame[c], read[c]));
        }
    }

    [Theory]
    [InlineData(-1, 0, true)]
    [InlineData(0, 0x0E, false)]
    [InlineData(23, 0x0F, true)]
    [InlineData(23, 0x10, false)]
    [InlineData(23, 0x80, false)]
    [InlineData(24, 0x01, false)]
    public void A_packed_frame_is_known_by_header_end_and_unused_flags(int place, int value, bool read)
    {
        var bytes = new byte[25];
        Packed16Codec.Encode(default, bytes);
        if (place >= 0)
            bytes[place] = (byte)value;
        Assert.Equal(read, Packed16Codec.TryDecode(bytes, out var frame));
        if (read && place == 23)
            Assert.Equal(value, (int)frame.Flags);
        Assert.False(Packed16Codec.TryDecode(bytes.AsSpan(0, 24), out _));
    }

    [Fact]
    public void Link_statistics_stand_byte_by_byte_where_they_belong()
    {
        var bytes = new byte[DuplexFormat.LongestPacket];
        var length = new LinkStatistics((-61, -118), 87, -9, 1, 3, 2, -70, 99, 11).Write(bytes);
        Assert.Equal([12, 0x14, 61, 118, 87, 0xF7, 1, 3, 2, 70, 99, 11], bytes[1..(length - 1)]);
        // Beyond what a byte holds each value stops at the end of it.
        length = new LinkStatistics((1, -256), 256, -129, -1, 256, 300, 5, -7, 128).Write(bytes);
        Assert.Equal([12, 0x14, 0, 255, 255, 0x80, 0, 255, 255, 0, 0, 0x7F], bytes[1..(length - 1)]);
    }

    [Fact]
    public void A_battery_report_stands_byte_by_byte_where_it_belongs()
    {
        var bytes = new byte[DuplexFormat.LongestPacket];
        var length = new BatteryReport(0x0102, 0x0304, 0x050607, 8).Write(bytes);
        Assert.Equal([10, 0x08, 1, 2, 3, 4, 5, 6, 7, 8], bytes[1..(length - 1)]);
        length = new BatteryReport(65_536, -1, 1 << 24, 256).Write(bytes);
        Assert.Equal([10, 0x08, 255, 255, 0, 0, 255, 255, 255, 255], bytes[1..(length - 1)]);
    }

    // The byte after the header counts what follows it: at least a type and a checksum; the whole has 64 bytes at most.
    [Theory]
    [InlineData(0, true)]
    [InlineData(60, true)]
    [InlineData(61, false)]
    public void A_packet_has_4_to_64_bytes(int payload, bool found)
    {
        var packet = new byte[payload + DuplexPacket.Overhead];
        DuplexPacket.Close(0x7F, payload, packet);
        var search = DuplexFormat.Instance.CreateSearch();
        var count = 0;
        ReadOnlySpan<byte> stream = [.. packet, .. packet, .. packet];
        while (search.TryFind(ref stream, out var frame))
        {
            Assert.Equal(packet, frame.ToArray());
            count++;
        }

        Assert.Equal(found ? 3 : 0, count);
    }

    [Theory]
    [InlineData(799, false)]
    [InlineData(800, true)]
    [InlineData(2200, true)]
    [InlineData(2201, false)]
    public void A_pulse_has_800_to_2200_µs(int pulse, bool read)
    {
        var counts = new int[2];
        long[] marks = [5000, 5000 + (1500 * 1000L), 5000 + ((1500L + pulse) * 1000)];
        Assert.Equal(read, PulseTrainFormat.Read(marks, counts));
        if (read)
            Assert.Equal([1500, pulse], counts);
    }

    [Fact]
    public void A_pulse_train_has_a_channel_at_least_and_no_more_than_there_is_room_for()
    {
        long[] marks = [0, 1_000_000, 2_000_000, 3_000_000];
        Assert.False(PulseTrainFormat.Read(marks.AsSpan(0, 1), new int[4]));
        Assert.True(PulseTrainFormat.Read(marks.AsSpan(0, 2), new int[1]));
        Assert.True(PulseTrainFormat.Read(marks, new int[3]));
        Assert.False(PulseTrainFormat.Read(marks, new int[2]));
    }

    [Theory]
    [InlineData(50L << 20, false)]
    [InlineData((50L << 20) + 1, true)]
    public void A_recording_may_have_50_MB(long length, bool refused)
    {
        using var file = new Long(length);
        Assert.Equal(refused, CaptureFile.Read(file, TestContext.Current.CancellationToken).Problem is { Line: 0 });
    }

    /// <summary>A short recording that says it is longer.</summary>
    private sealed class Long(long length) : MemoryStream("time,level\n0,1\n1,0\n2,1\n"u8.ToArray())
    {
        public override long Length => length;
    }
}
