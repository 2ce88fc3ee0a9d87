using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Search;

/// <summary>One move from a state to the next.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Moved">For movements: which inputs went to which cell; two when two hands moved at once.</param>
/// <param name="Value">The timer, the part of the model that waited, the orientation or the state of the cable.</param>
internal sealed record ProofMove(MoveKind Kind, IReadOnlyList<(int Input, int Cell)> Moved, int Value);
