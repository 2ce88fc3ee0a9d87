using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>Where the craft can come down after a loss, around where it was when the last packet came.</summary>
/// <param name="Reach">The circle within which it comes down, whatever the direction of flight and wind, in whole metres, rounded up; null when nothing bounds it.</param>
/// <param name="Likely">How far from there it comes to the ground with the wind behind it, or where home is; null when it does not come down by what the board does.</param>
/// <param name="Rest">When it is on the ground at the latest, after the last packet; null when it never is.</param>
/// <param name="Impact">How fast it comes to the ground.</param>
/// <param name="Energy">The energy of the impact; null while the mass is not written down.</param>
/// <param name="Words">What that means for those who stand somewhere, in sentences.</param>
/// <param name="Struck">True when the circle takes in the pilot or the line, or when there is none.</param>
public sealed record Footprint(
    Metres? Reach,
    Metres? Likely,
    Milliseconds? Rest,
    MetresPerSecond? Impact,
    Joules? Energy,
    IReadOnlyList<string> Words,
    bool Struck
);
