using Zephyros.Core.Setups;

namespace Zephyros.Core.ReadyMade;

/// <summary>A setup with a ready-made chain in it.</summary>
/// <param name="Setup">The setup.</param>
/// <param name="Facts">What was worked out, one sentence each: values, residuals, limits.</param>
public sealed record Built(Setup Setup, IReadOnlyList<string> Facts);
