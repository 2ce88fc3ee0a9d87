using Zephyros.Core.Model.Timers;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

public sealed class TimerWordsTests
{
    [Theory]
    [InlineData(0, "0:00")]
    [InlineData(59_999, "0:59")]
    [InlineData(60_000, "1:00")]
    [InlineData(3_599_999, "59:59")]
    [InlineData(3_600_000, "1:00:00")]
    [InlineData(7_384_000, "2:03:04")]
    public void One_that_counts_up_shows_the_seconds_that_are_over(double ms, string shown) =>
        Assert.Equal(shown, TimerWords.Shown(new FlightTimer { Label = "up" }, TimeSpan.FromMilliseconds(ms)));

    [Theory]
    [InlineData(0, "2:30")]
    [InlineData(1, "2:30")]
    [InlineData(1000, "2:29")]
    [InlineData(149_999, "0:01")]
    [InlineData(150_000, "0:00")]
    [InlineData(150_999, "0:00")]
    [InlineData(151_000, "−0:01")]
    [InlineData(3_750_000, "−1:00:00")]
    public void One_that_counts_down_shows_the_seconds_that_have_begun(double ms, string shown) =>
        Assert.Equal(
            shown,
            TimerWords.Shown(new FlightTimer { Label = "down", From = new(150_000) }, TimeSpan.FromMilliseconds(ms))
        );

    [Theory]
    [InlineData(1000, "1 second")]
    [InlineData(30_000, "30 seconds")]
    [InlineData(60_000, "1 minute")]
    [InlineData(61_000, "1 minute 1 second")]
    [InlineData(150_000, "2 minutes 30 seconds")]
    [InlineData(-5000, "minus 5 seconds")]
    public void It_is_said_as_a_voice_says_it(double ms, string said) =>
        Assert.Equal(said, TimerWords.Said(new Milliseconds(ms)));
}
