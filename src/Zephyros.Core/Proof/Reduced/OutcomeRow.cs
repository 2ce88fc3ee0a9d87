namespace Zephyros.Core.Proof.Reduced;

/// <summary>One outcome of running the model, and at which positions of a word it comes about.</summary>
/// <param name="Outcome">The outcome.</param>
/// <param name="Number">The number of the outcome among those of its table.</param>
/// <param name="Positions">One bit for each position.</param>
internal readonly record struct OutcomeRow(ModelOutcome Outcome, int Number, ulong Positions);
