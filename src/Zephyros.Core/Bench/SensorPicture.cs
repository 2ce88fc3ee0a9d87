using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>What the transmitter knows of one sensor at one moment.</summary>
/// <param name="HeardAt">The virtual time at which its last reading came; null when none has.</param>
/// <param name="Held">True while its reading is held by hand on the bench.</param>
/// <param name="Lowest">The lowest plausible reading since the last reset; null before the first.</param>
/// <param name="Highest">The highest.</param>
/// <param name="Words">The last reading with its unit, as the transmitter shows it.</param>
public sealed record SensorPicture(Milliseconds? HeardAt, bool Held, Reading? Lowest, Reading? Highest, string Words);
