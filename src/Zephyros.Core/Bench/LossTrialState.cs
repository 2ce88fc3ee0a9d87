namespace Zephyros.Core.Bench;

/// <summary>How far a loss is tried at the bench.</summary>
/// <param name="Done">True when every step was.</param>
/// <param name="Prompt">What to do now, in a few words that can be read from where the transmitter is held.</param>
/// <param name="Problem">Why it does not go on; empty while nothing is wrong.</param>
/// <param name="Steps">All steps.</param>
public sealed record LossTrialState(bool Done, string Prompt, string Problem, IReadOnlyList<LossTrialStep> Steps);
