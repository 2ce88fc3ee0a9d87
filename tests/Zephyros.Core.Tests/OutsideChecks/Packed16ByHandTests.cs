using Zephyros.Core.Wire.Packed16;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>A Packed 16 frame worked out on paper, bit by bit. The layout is from memory.</summary>
public sealed class Packed16ByHandTests
{
    // Channel:   1           2           3           4           5           6           7           8
    // Count:  1320         992         173         992        1811           1        2047           0
    // Bits:   10100101000  01111100000 00010101101 01111100000 11100010011 00000000001 11111111111 00000000000
    //
    // Least significant bit first, channel after channel, cut into bytes (each byte's bits written high to low):
    //   byte 1 = ch1 bits 7..0                                  00101000 = 28
    //   byte 2 = ch2 bits 4..0, ch1 bits 10..8                  00000 101 = 05
    //   byte 3 = ch3 bits 1..0, ch2 bits 10..5                  01 011111 = 5F
    //   byte 4 = ch3 bits 9..2                                  00101011 = 2B
    //   byte 5 = ch4 bits 6..0, ch3 bit 10                      1100000 0 = C0
    //   byte 6 = ch5 bits 3..0, ch4 bits 10..7                  0011 0111 = 37
    //   byte 7 = ch6 bit 0, ch5 bits 10..4                      1 1110001 = F1
    //   byte 8 = ch6 bits 8..1                                  00000000 = 00
    //   byte 9 = ch7 bits 5..0, ch6 bits 10..9                  111111 00 = FC
    //   byte 10 = ch8 bits 2..0, ch7 bits 10..6                 000 11111 = 1F
    //   byte 11 = ch8 bits 10..3                                00000000 = 00
    // Channels 9 to 16 repeat the same counts, so bytes 12 to 22 repeat bytes 1 to 11.
    // Flags: channel 17 on (bit 0) and frame lost (bit 2) = 00000101 = 05.
    private const string ByHand = "0F" + Half + Half + "05" + "00";
    private const string Half = "28055F2BC037F100FC1F00";
    private static readonly ushort[] Counts = [1320, 992, 173, 992, 1811, 1, 2047, 0];

    [Fact]
    public void The_encoder_writes_the_frame_worked_out_by_hand()
    {
        var frame = Frame();
        var bytes = new byte[Packed16Format.FrameBytes];
        Packed16Codec.Encode(frame, bytes);
        Assert.Equal(ByHand, Convert.ToHexString(bytes));
    }

    [Fact]
    public void The_codec_reads_the_frame_worked_out_by_hand()
    {
        Assert.True(Packed16Codec.TryDecode(Convert.FromHexString(ByHand), out var frame));
        Assert.Equal(Frame(), frame);
        Assert.False(frame.IsFresh);
    }

    private static Packed16Frame Frame()
    {
        var frame = new Packed16Frame { Flags = Packed16Flags.Channel17 | Packed16Flags.FrameLost };
        for (var i = 0; i < Packed16Format.Channels; i++)
            frame[i] = Counts[i % Counts.Length];
        return frame;
    }
}
