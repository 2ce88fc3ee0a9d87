namespace Zephyros.Core.Proof.Reduced;

/// <summary>Why a model is run once more.</summary>
/// <param name="Ending">The parts whose time comes to its end, a bit each.</param>
/// <param name="Stir">The number of what moves, see <see cref="OpenComparisons"/>.</param>
internal readonly record struct RowCause(ulong Ending, int Stir);
