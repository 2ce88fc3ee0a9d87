using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>The transmitter's settings that make one channel arrive at 1000, 1500 and 2000 µs.</summary>
/// <param name="Low">The low end.</param>
/// <param name="Centre">The centre.</param>
/// <param name="High">The high end.</param>
/// <param name="Arrives">What then arrives, as far as the measurement tells.</param>
/// <param name="Residual">The largest distance that is left, at the low end, the centre or the high end, after rounding to the
/// transmitter's step.</param>
/// <param name="WithinReach">False when an end lies beyond what the transmitter can send; it is then held at its limit.</param>
public sealed record EndFit(
    Percent Low,
    Percent Centre,
    Percent High,
    Sweep Arrives,
    Microseconds Residual,
    bool WithinReach
);
