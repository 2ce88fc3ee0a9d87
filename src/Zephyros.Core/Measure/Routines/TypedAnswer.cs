using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.Measure.Routines;

/// <summary>How far a routine is after readings were typed.</summary>
/// <param name="State">How far it is after the readings before the one that cannot be, or after all.</param>
/// <param name="Problem">The reading that cannot be, and why; null when all were taken.</param>
public sealed record TypedAnswer(RoutineState State, SetupProblem? Problem);
