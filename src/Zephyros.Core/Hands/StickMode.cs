namespace Zephyros.Core.Hands;

/// <summary>Stick modes 1 to 4: which hand holds which axis.</summary>
/// <remarks>Common practice, no source. Mode 2 (throttle and yaw left, pitch and roll right) is the commonest.</remarks>
public static class StickMode
{
    /// <summary>Where <paramref name="axis"/> lies in <paramref name="mode"/> (1 to 4).</summary>
    /// <exception cref="ArgumentOutOfRangeException">The mode is not 1 to 4.</exception>
    public static StickPlace Locate(int mode, StickAxis axis)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(mode, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(mode, 4);
        // Modes 1 and 3 have the throttle in the right hand; modes 3 and 4 have roll in the left one.
        var throttleRight = mode is 1 or 3;
        var rollRight = mode is 1 or 2;
        return axis switch
        {
            StickAxis.Throttle => new StickPlace(throttleRight, Vertical: true),
            StickAxis.Pitch => new StickPlace(!throttleRight, Vertical: true),
            StickAxis.Roll => new StickPlace(rollRight, Vertical: false),
            StickAxis.Yaw => new StickPlace(!rollRight, Vertical: false),
        };
    }
}
