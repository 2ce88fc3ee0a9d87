using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>What the travel of a channel does in the air.</summary>
/// <param name="Shows">The ends and the centre as the board shows them.</param>
/// <param name="Short">How much of the way from 1000 to 2000 µs is never reached, at both ends together.</param>
/// <param name="Clipped">How much travel lies beyond 1000 and 2000 µs and is held there.</param>
/// <param name="LowShare">How much of the maximum rate, or of the throttle, the low end commands.</param>
/// <param name="HighShare">How much of it the high end commands.</param>
/// <param name="RateLost">The rate of turn that the weaker end lacks; 0 for a throttle.</param>
/// <param name="Drift">The rate of turn with the stick let go; 0 for a throttle.</param>
public sealed record TravelEffect(
    Sweep Shows,
    Microseconds Short,
    Microseconds Clipped,
    Percent LowShare,
    Percent HighShare,
    DegreesPerSecond RateLost,
    DegreesPerSecond Drift
);
