using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>A time for which an alarm held.</summary>
/// <param name="From">Since when, since the first row.</param>
/// <param name="To">Until when.</param>
/// <param name="False">True when it warned of nothing.</param>
/// <param name="Why">How it ended, and why it is called so.</param>
public sealed record HoldingView(Milliseconds From, Milliseconds To, bool False, string Why);
