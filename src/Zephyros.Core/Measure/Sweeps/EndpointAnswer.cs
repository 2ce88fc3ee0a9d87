using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>What follows from sweeping the sticks.</summary>
/// <param name="Channels">Each channel that was measured, and both ways to put it right.</param>
/// <param name="Advised">The place where it is better put right.</param>
/// <param name="Reason">Why there.</param>
/// <param name="Centre">What the board's centre must be set to once the spans are set, when the centres of roll, pitch and yaw agree;
/// null when they do not, or when it is right as it is.</param>
/// <param name="OffCentre">The axes whose own centre must be changed instead.</param>
/// <param name="Deadband">The deadband that keeps the measured trembling out.</param>
/// <param name="ThrottleLow">The throttle-low limit that belongs to it: just above the low end.</param>
/// <param name="ThrottleLost">How much throttle travel the present limit takes at the bottom; 0 or less when the throttle never comes
/// below it, so that the board never arms.</param>
/// <param name="FullTravel">The full-travel limit: just below the high end.</param>
public sealed record EndpointAnswer(
    IReadOnlyList<ChannelTravel> Channels,
    CorrectionPlace Advised,
    string Reason,
    Microseconds? Centre,
    IReadOnlyList<StickAxis> OffCentre,
    Microseconds Deadband,
    Microseconds ThrottleLow,
    Microseconds ThrottleLost,
    Microseconds FullTravel
);
