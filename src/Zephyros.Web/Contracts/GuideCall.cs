using Zephyros.Core.Measure.Routines;

namespace Zephyros.Web.Contracts;

/// <summary>Begins a guided measuring routine, or ends it.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Kind">The routine; none to end it.</param>
public sealed record GuideCall(string Setup, RoutineKind Kind);
