using Zephyros.Core.Findings;

namespace Zephyros.Core.Symptoms;

/// <summary>A possible cause of a symptom.</summary>
/// <param name="What">The cause, in a sentence.</param>
/// <param name="Check">What to do to make sure.</param>
/// <param name="Standing">What the setup says of it.</param>
/// <param name="Findings">The findings that say so, with their fixes.</param>
public sealed record Suspect(string What, string Check, SuspectStanding Standing, IReadOnlyList<Finding> Findings);
