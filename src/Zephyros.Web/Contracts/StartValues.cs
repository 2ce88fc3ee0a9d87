using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>What the fields of something new start with.</summary>
/// <param name="BandLow">The lower edge of a function's band.</param>
/// <param name="BandHigh">Its upper edge.</param>
/// <param name="ThrottleLow">A throttle stick below this is low.</param>
/// <param name="TiltLimit">The board refuses to arm beyond this tilt.</param>
public sealed record StartValues(Microseconds BandLow, Microseconds BandHigh, Percent ThrottleLow, Degrees TiltLimit)
{
    /// <summary>The usual values with a transmitter.</summary>
    public static StartValues With(Transmitter transmitter) =>
        new(Bands.FarEnd, Bands.Highest, transmitter.ThrottleLow, ArmGuards.UsualTilt);
}
