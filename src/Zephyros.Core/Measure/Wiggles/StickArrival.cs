using Zephyros.Core.Hands;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>What is known of one stick.</summary>
/// <param name="Stick">The stick, by what it is meant to steer.</param>
/// <param name="Bar">The bar that it moves; null while several are possible.</param>
/// <param name="Reversed">Whether that runs the wrong way; null while both are possible.</param>
public sealed record StickArrival(StickAxis Stick, StickAxis? Bar, bool? Reversed);
