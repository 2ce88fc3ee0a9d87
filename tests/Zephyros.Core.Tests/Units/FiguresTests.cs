using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Units;

public sealed class FiguresTests
{
    [Theory]
    [InlineData(1704.8, "1704.8")]
    [InlineData(1500, "1500")]
    [InlineData(-0.004, "0")]
    [InlineData(-12.345, "−12.35")]
    [InlineData(172.795, "172.8")]
    public void A_plain_figure_has_no_digit_that_says_nothing(double value, string text) =>
        Assert.Equal(text, Figures.Plain(value));

    [Theory]
    [InlineData(40, "+40")]
    [InlineData(-40, "−40")]
    [InlineData(0, "0")]
    [InlineData(0.04, "0")]
    [InlineData(0.05, "+0.1")]
    [InlineData(0.06, "+0.1")]
    [InlineData(-0.05, "−0.1")]
    public void A_signed_figure_says_plus_only_above_nothing(double value, string text) =>
        Assert.Equal(text, Figures.Signed(value));

    [Theory]
    [InlineData(988, "988.0")]
    [InlineData(-0.04, "0.0")]
    public void A_steady_figure_keeps_its_decimals(double value, string text) =>
        Assert.Equal(text, Figures.Steady(value, 1));

    [Fact]
    public void Quantities_say_their_unit()
    {
        Assert.Equal("+12.5 %", new Percent(12.5).ToString());
        Assert.Equal("1069.92 µs", new Microseconds(1069.92).ToString());
        Assert.Equal("7 ms", new Milliseconds(7).ToString());
        Assert.Equal("100 Hz", new Hertz(100).ToString());
        Assert.Equal("205 °/s", new DegreesPerSecond(204.8).ToString());
        Assert.Equal(TimeSpan.FromMilliseconds(7), new Milliseconds(7).ToTimeSpan());
    }
}
