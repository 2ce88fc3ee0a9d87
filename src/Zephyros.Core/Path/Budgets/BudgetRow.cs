using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Budgets;

/// <summary>What is planned on a channel, and what of it survives the link.</summary>
/// <param name="Channel">The channel.</param>
/// <param name="Feeds">What the model sends on it; empty when it sends nothing.</param>
/// <param name="Functions">What the board reads from it.</param>
/// <param name="Arrives">True when it gets to the board.</param>
/// <param name="Steps">How many steps the link gives it; 0 for full resolution.</param>
/// <param name="Resolution">The distance from one value to the next that the board can see.</param>
/// <param name="Lost">The positions that arrive alike though they are sent apart, in words.</param>
/// <param name="Quality">True when the receiver puts the signal quality into it.</param>
public sealed record BudgetRow(
    ChannelNumber Channel,
    string Feeds,
    IReadOnlyList<string> Functions,
    bool Arrives,
    int Steps,
    Microseconds Resolution,
    IReadOnlyList<string> Lost,
    bool Quality
);
