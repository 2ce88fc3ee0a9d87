namespace Zephyros.Core.Loss;

/// <summary>A loss of the signal, second by second: a run of the bench, seen with a flight.</summary>
/// <param name="Hands">What the hands did before it, each a while after the one before.</param>
/// <param name="Marks">What happens, in the order of the latest times.</param>
/// <param name="Returns">What happens when the signal comes back, by when it does.</param>
/// <param name="OnPurpose">What the positions do that run it on purpose.</param>
/// <param name="Course">The craft's way at the worst, for drawing.</param>
/// <param name="Footprint">Where it comes down.</param>
/// <param name="Fix">True when it was played with a position fix that the board may use: not too near to home.</param>
public sealed record LossTimeline(
    IReadOnlyList<LossHand> Hands,
    IReadOnlyList<LossMark> Marks,
    IReadOnlyList<ReturnSpan> Returns,
    IReadOnlyList<LossOnPurpose> OnPurpose,
    IReadOnlyList<CoursePoint> Course,
    Footprint Footprint,
    bool Fix
);
