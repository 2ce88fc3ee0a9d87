using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>The facts of the trade that every pilot computes on paper.</summary>
public sealed class PercentAndPulseTests
{
    private static WireDescriptor Packed16 => WireFormat.Packed16.Describe();

    // Common practice, no source: 512, 400 and 500 us for 100 %.
    [Theory]
    [InlineData(PulseScale.Wide, -100, 988)]
    [InlineData(PulseScale.Wide, 100, 2012)]
    [InlineData(PulseScale.Wide, 0, 1500)]
    [InlineData(PulseScale.Wide, -84, 1069.92)]
    [InlineData(PulseScale.Wide, 97.65625, 2000)]
    [InlineData(PulseScale.Narrow, -100, 1100)]
    [InlineData(PulseScale.Narrow, 125, 2000)]
    [InlineData(PulseScale.Even, -100, 1000)]
    public void Percent_becomes_microseconds(PulseScale scale, double percent, double us)
    {
        Assert.Equal(us, scale.ToMicroseconds(new Percent(percent)).Value, 9);
        Assert.Equal(percent, scale.ToPercent(new Microseconds(us)).Value, 9);
    }

    // From memory: us = 880 + 0.625 x count.
    [Theory]
    [InlineData(172, 987.5)]
    [InlineData(992, 1500)]
    [InlineData(1811, 2011.875)]
    [InlineData(0, 880)]
    [InlineData(2047, 2159.375)]
    public void Counts_stand_for_microseconds(int count, double us)
    {
        Assert.Equal(us, Packed16.ToMicroseconds(count).Value);
        Assert.Equal(count, Packed16.ToCount(new Microseconds(us), CountRounding.Nearest));
    }

    // From memory: -100 % wide is 172.8; to nearest 173, truncating senders give 172.
    [Theory]
    [InlineData(CountRounding.Nearest, 173)]
    [InlineData(CountRounding.Truncate, 172)]
    public void Senders_make_whole_counts_in_two_ways(CountRounding rounding, int count) =>
        Assert.Equal(count, Packed16.ToCount(PulseScale.Wide.ToMicroseconds(Percent.Low), rounding));

    // The story of the first slice: +40 % -> 1704.8 us -> count 1320 -> 1705 us.
    [Fact]
    public void Forty_percent_arrives_as_1705()
    {
        var sent = PulseScale.Wide.ToMicroseconds(new Percent(40));
        Assert.Equal(1704.8, sent.Value, 9);
        Assert.Equal(1320, Packed16.ToCount(sent, CountRounding.Nearest));
        Assert.Equal(1705, Packed16.ToMicroseconds(1320).Value);
    }

    // From memory: the eleven bits span 880..2159.375 us; what lies beyond saturates.
    [Theory]
    [InlineData(0, 0)]
    [InlineData(879, 0)]
    [InlineData(2160, 2047)]
    [InlineData(1e9, 2047)]
    [InlineData(-1e9, 0)]
    public void Pulses_beyond_the_format_saturate(double us, int count) =>
        Assert.Equal(count, Packed16.ToCount(new Microseconds(us), CountRounding.Nearest));

    // Common practice, no source: AUX n = channel n + 4.
    [Fact]
    public void Aux_numbers_start_at_channel_five()
    {
        Assert.Equal(5, ChannelNumber.FromAux(1).Value);
        Assert.Equal(1, new ChannelNumber(5).Aux);
        Assert.Null(new ChannelNumber(4).Aux);
        Assert.Equal("channel 9 (AUX 5)", ChannelNumber.FromAux(5).ToString());
    }

    // Arithmetic: 25 bytes x 12 bits / 100 000 baud.
    [Fact]
    public void A_packed_frame_takes_three_milliseconds() => Assert.Equal(3.000, Packed16.TimeOnWire.Value, 9);
}
