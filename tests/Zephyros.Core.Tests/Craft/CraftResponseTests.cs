using Zephyros.Core.Craft;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Craft;

public sealed class CraftResponseTests
{
    // Common practice, no source: 1100..1900 us unscaled gives 400/500 = 80 % of the rate. Gannet turns at 720 °/s.
    [Theory]
    [InlineData(1900, 576)]
    [InlineData(1100, -576)]
    [InlineData(1500, 0)]
    [InlineData(2012, 720)]
    [InlineData(988, -720)]
    public void A_linear_curve_turns_by_the_share_of_travel(double us, double rate) =>
        Assert.Equal(rate, CraftResponse.Rate(Demo.Gannet.Board, new Microseconds(us)).Value, 9);

    [Theory]
    [InlineData(StickAxis.Roll, 2000, "roll right at full rate, 720 °/s")]
    [InlineData(StickAxis.Pitch, 1750, "pitch nose down at 360 °/s")]
    [InlineData(StickAxis.Pitch, 1250, "pitch nose up at 360 °/s")]
    [InlineData(StickAxis.Yaw, 1000, "yaw left at full rate, 720 °/s")]
    [InlineData(StickAxis.Yaw, 1500, "not yaw")]
    [InlineData(StickAxis.Throttle, 1700, "get 70 % throttle")]
    [InlineData(StickAxis.Throttle, 900, "get 0 % throttle")]
    public void What_an_axis_does_is_said_in_words(StickAxis axis, double us, string words) =>
        Assert.Equal(words, CraftResponse.Describe(Demo.Gannet.Board, axis, new Microseconds(us)));
}
