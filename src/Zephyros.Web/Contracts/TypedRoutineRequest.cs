using Zephyros.Core.Measure.Routines;

namespace Zephyros.Web.Contracts;

/// <summary>What was read off a board so far, in answer to the steps of a guided routine.</summary>
/// <param name="Kind">The routine.</param>
/// <param name="Readings">What was typed, the first first; one that is left away is taken back.</param>
public sealed record TypedRoutineRequest(RoutineKind Kind, IReadOnlyList<TypedReading> Readings);
