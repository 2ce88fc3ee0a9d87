using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Pulses;

/// <summary>The pulses that a receiver sends at most: 800 to 2200 us; a board takes about 885 to 2115 us for valid.</summary>
internal static class PulseLimits
{
    /// <summary>The shortest, in microseconds.</summary>
    [Figure(Station.Wire, "The shortest pulse that a receiver sends", ProvenanceKind.FromMemory, Unit = "µs")]
    public const int Shortest = 800;

    /// <summary>The longest, in microseconds.</summary>
    [Figure(Station.Wire, "The longest pulse that a receiver sends", ProvenanceKind.FromMemory, Unit = "µs")]
    public const int Longest = 2200;
}
