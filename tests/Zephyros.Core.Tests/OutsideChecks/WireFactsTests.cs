using System.Text;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Burst7;
using Zephyros.Core.Wire.Duplex;
using Zephyros.Core.Wire.Word14;

namespace Zephyros.Core.Tests.OutsideChecks;

public sealed class WireFactsTests
{
    // Published: catalogue of parametrised CRC algorithms, CRC-8/DVB-S2; ETSI EN 302 307.
    [Fact]
    public void The_checksum_has_the_published_check_value() =>
        Assert.Equal(0xBC, Crc8.Of(Encoding.ASCII.GetBytes("123456789")));

    // A library from the npm registry (crc 4.3.2, crc8dvbs2) says the same of random data of every length that a packet may have.
    [Fact]
    public void Another_library_makes_the_same_checksum_of_random_data()
    {
        var random = new Random(19);
        var packets = Enumerable.Range(0, 2000).Select(_ => new byte[random.Next(1, 63)]).ToArray();
        foreach (var packet in packets)
            random.NextBytes(packet);
        var file = System.IO.Path.GetTempFileName();
        try
        {
            File.WriteAllLines(file, packets.Select(Convert.ToHexString));
            var said = OutsideProgram.Run(Root(), "node", "tests/reference/crc8.mjs", file).Split('\n');
            Assert.Equal(said, packets.Select(p => $"{Crc8.Of(p):x}"));
        }
        finally
        {
            File.Delete(file);
        }
    }

    private static string Root([System.Runtime.CompilerServices.CallerFilePath] string path = "") =>
        System.IO.Path.GetFullPath(System.IO.Path.Combine(System.IO.Path.GetDirectoryName(path)!, "../../.."));

    // Arithmetic: bytes x bits per byte / baud.
    [Theory]
    [InlineData(WireFormat.Packed16, 3.000)]
    [InlineData(WireFormat.Word14, 2.778)]
    [InlineData(WireFormat.Burst7, 1.389)]
    [InlineData(WireFormat.Duplex, 0.619)]
    public void Frames_take_their_time_on_the_wire(WireFormat format, double ms) =>
        Assert.Equal(ms, format.Describe().TimeOnWire.Value, 3);

    // From memory: the centre of a word is 1500 us, one count is 1194/2048 us, full travel of a narrow scale 341..1707.
    [Theory]
    [InlineData(1024, 1500)]
    [InlineData(341, 1102)]
    [InlineData(1707, 1898)]
    public void A_fine_word_of_burst_7_stands_for_its_pulse(int count, double us) =>
        Assert.Equal(us, Burst7Format.Fine.Descriptor.ToMicroseconds(count).Value, 0);

    // By hand from the layout: id 2 with 1024 is 2 x 2048 + 1024 = 0x1400; the second frame begins with id 7, 0xBC00.
    [Fact]
    public void Words_of_burst_7_by_hand()
    {
        var bytes = new byte[16];
        int[] counts = [.. Enumerable.Repeat(1024, 12)];
        Burst7Format.Fine.Write(counts, 0, bytes);
        Assert.Equal([0, 0, 0x04, 0x00, 0x0C, 0x00, 0x14, 0x00], bytes[..8]);
        Burst7Format.Fine.Write(counts, 1, bytes);
        Assert.Equal([0xBC, 0x00], bytes[2..4]);
        Assert.Equal([0xFF, 0xFF, 0xFF, 0xFF], bytes[12..]);
    }

    // By hand: 0x20 + 0x40 + 14 x (0xDC + 0x05) = 96 + 14 x 225 = 3246 = 0x0CAE; 0xFFFF - 0x0CAE = 0xF351.
    [Fact]
    public void The_checksum_of_word_14_by_hand()
    {
        var bytes = new byte[32];
        Word14Format.Instance.Write([.. Enumerable.Repeat(1500, 14)], 0, bytes);
        Assert.Equal([0x20, 0x40, 0xDC, 0x05], bytes[..4]);
        Assert.Equal([0x51, 0xF3], bytes[30..]);
    }
}
