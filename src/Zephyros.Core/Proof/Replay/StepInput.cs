using Zephyros.Core.Proof.Cells;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Where an input goes in a step.</summary>
/// <param name="Kind">What moves it.</param>
/// <param name="Id">The id of the control or sensor; empty for telemetry as such.</param>
/// <param name="Setting">The setting: percent, position, reading; 1 for telemetry that is lost.</param>
/// <param name="From">The lowest setting that no comparison of this input alone tells from it.</param>
/// <param name="UpTo">The highest one.</param>
public sealed record StepInput(InputKind Kind, string Id, double Setting, double From, double UpTo);
