using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Budgets;

/// <summary>A channel as a place for the signal quality.</summary>
/// <param name="Channel">The channel.</param>
/// <param name="Advised">True when nothing speaks against it.</param>
/// <param name="Reasons">Why, or why not.</param>
public sealed record QualityChoice(ChannelNumber Channel, bool Advised, IReadOnlyList<string> Reasons);
