using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Search;

/// <summary>Movements that are alike to the promise, and stir the same.</summary>
/// <param name="Roles">What the moved inputs are to the promise.</param>
/// <param name="Stir">The number of what they stir, see <see cref="OpenComparisons"/>.</param>
/// <param name="Moves">The movements: which input goes to which cell; two when two hands move at once.</param>
internal sealed record MoveGroup(Roles Roles, int Stir, (int Input, int Cell)[][] Moves);
