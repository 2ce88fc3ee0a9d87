using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.BesidePlan;

/// <summary>A place that a channel can be brought to: what is planned there, and what was measured.</summary>
/// <param name="Name">The position of a switch; or "lowest", "centre", "highest".</param>
/// <param name="Sent">What the model sends there.</param>
/// <param name="Expected">What should come to the board.</param>
/// <param name="Wire">What a recording carries.</param>
/// <param name="Board">What the board showed.</param>
/// <param name="Jitter">How far that wandered.</param>
internal sealed record MeasuredPlace(
    string Name,
    Microseconds Sent,
    Microseconds Expected,
    Microseconds? Wire,
    Microseconds? Board,
    Microseconds Jitter
);
