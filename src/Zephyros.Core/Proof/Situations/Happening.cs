namespace Zephyros.Core.Proof.Situations;

/// <summary>Something that happens, as far as situations go.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Value">The timer, the orientation or the state of the cable; of what brings telemetry or takes it away, where that stands
/// then, or <see cref="ProofScope.TelemetryStays"/>; 0 for all others.</param>
/// <param name="Roles">For a movement: what the moved controls are to the promise.</param>
internal readonly record struct Happening(MoveKind Kind, int Value = 0, Roles Roles = Roles.None);
