using Zephyros.Core.Hands;

namespace Zephyros.Core.Measure;

/// <summary>How far the guided routine is.</summary>
/// <param name="Phase">What it waits for.</param>
/// <param name="Stick">The stick that is to be moved.</param>
/// <param name="Prompt">What to do now, in a few words that can be read from where the transmitter is held.</param>
/// <param name="Problem">Why it does not go on; empty while nothing is wrong.</param>
/// <param name="Wiggles">What was seen so far.</param>
/// <param name="Sweeps">What was measured so far, by the axis of the bar.</param>
public sealed record RoutineState(
    RoutinePhase Phase,
    StickAxis Stick,
    string Prompt,
    string Problem,
    IReadOnlyList<WiggleSeen> Wiggles,
    IReadOnlyDictionary<string, Sweep> Sweeps
);
