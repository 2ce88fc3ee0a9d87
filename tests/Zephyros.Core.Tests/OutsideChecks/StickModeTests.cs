using Zephyros.Core.Hands;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>Stick modes: common practice, no source. Mode 2 has throttle and yaw left, pitch and roll right.</summary>
public sealed class StickModeTests
{
    // What stands on the left stick, up-down then left-right, and on the right one.
    [Theory]
    [InlineData(1, StickAxis.Pitch, StickAxis.Yaw, StickAxis.Throttle, StickAxis.Roll)]
    [InlineData(2, StickAxis.Throttle, StickAxis.Yaw, StickAxis.Pitch, StickAxis.Roll)]
    [InlineData(3, StickAxis.Pitch, StickAxis.Roll, StickAxis.Throttle, StickAxis.Yaw)]
    [InlineData(4, StickAxis.Throttle, StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw)]
    public void Each_mode_puts_the_axes_into_the_hands(
        int mode,
        StickAxis leftUp,
        StickAxis leftAcross,
        StickAxis rightUp,
        StickAxis rightAcross
    )
    {
        Assert.Equal(new StickPlace(RightHand: false, Vertical: true), StickMode.Locate(mode, leftUp));
        Assert.Equal(new StickPlace(RightHand: false, Vertical: false), StickMode.Locate(mode, leftAcross));
        Assert.Equal(new StickPlace(RightHand: true, Vertical: true), StickMode.Locate(mode, rightUp));
        Assert.Equal(new StickPlace(RightHand: true, Vertical: false), StickMode.Locate(mode, rightAcross));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(5)]
    public void There_are_four_modes(int mode) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => StickMode.Locate(mode, StickAxis.Roll));
}
