using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Search;

/// <summary>What leads from a set of states into others.</summary>
/// <param name="Set">The states before.</param>
/// <param name="Move">The move; null for a movement of inputs.</param>
/// <param name="Table">What follows for receiver, board and promise.</param>
/// <param name="By">The movements, for a movement of inputs.</param>
internal readonly record struct SpreadStep(StateSet Set, ProofMove? Move, StepTable Table, MoveGroup? By = null);
