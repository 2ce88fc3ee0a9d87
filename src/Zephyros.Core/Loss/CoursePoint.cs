using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A point of the craft's way, for drawing.</summary>
/// <param name="After">When, after the last packet.</param>
/// <param name="Far">How far it has come.</param>
/// <param name="High">How high it is.</param>
/// <param name="Leg">What it does there.</param>
public sealed record CoursePoint(Milliseconds After, Metres Far, Metres High, LegKind Leg);
