using Zephyros.Core.Board;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure;

/// <summary>A position as it was measured, beside what is planned.</summary>
/// <param name="Seen">What was measured.</param>
/// <param name="Name">The position in words, for example "Left shoulder far".</param>
/// <param name="Planned">What should arrive there; null when the control does not work this channel.</param>
/// <param name="Off">How far the measured value lies from it; positive when it is higher.</param>
/// <param name="Wants">The ids of the functions that are planned to be on there.</param>
/// <param name="Has">The ids of the functions that the measured value switches on.</param>
/// <param name="Room">How far the measured value lies from the nearest edge of a band, after its own trembling; null when there is none.</param>
public sealed record MeasuredPosition(
    PositionSeen Seen,
    string Name,
    Microseconds? Planned,
    Microseconds Off,
    IReadOnlyList<string> Wants,
    IReadOnlyList<string> Has,
    BandRoom? Room
)
{
    /// <summary>True when it switches on just what is planned.</summary>
    public bool AsPlanned => Wants.SequenceEqual(Has, StringComparer.Ordinal);

    /// <summary>True when it lies where it is planned, as exactly as a board shows it.</summary>
    public bool LiesAsPlanned => Math.Abs(Math.Round(Off.Value)) <= PositionSolver.Rounding;
}
