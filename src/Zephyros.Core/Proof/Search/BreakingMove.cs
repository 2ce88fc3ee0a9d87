using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Search;

/// <summary>A move that broke a promise, with everything that led to it but the positions of the inputs.</summary>
/// <param name="Memory">The model's memory before it.</param>
/// <param name="Situation">The situation before it.</param>
/// <param name="Happening">What happened.</param>
/// <param name="Part">The part of the model whose time came to its end; 0 for everything else.</param>
internal readonly record struct BreakingMove(int Memory, Situation Situation, Happening Happening, int Part);
