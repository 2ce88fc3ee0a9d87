using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.BesidePlan;

/// <summary>A place that a channel can be brought to, as it was planned and as it was measured.</summary>
/// <param name="Name">The position of a switch; or "lowest", "centre", "highest".</param>
/// <param name="Model">What the model sends there.</param>
/// <param name="Wire">What a recording carries there; null when it does not tell.</param>
/// <param name="Board">What the board showed there; null when that was not read.</param>
/// <param name="Parts">The first place at which it is not as planned; null while nothing is known to be otherwise.</param>
public sealed record MeasuredPoint(
    string Name,
    Microseconds Model,
    Microseconds? Wire,
    Microseconds? Board,
    Station? Parts
);
