using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A span of times at which the signal can come back with one and the same outcome.</summary>
/// <param name="From">From when, after the last packet; found by halving to a hundredth of a millisecond.</param>
/// <param name="To">To when.</param>
/// <param name="Outcome">What happens.</param>
/// <param name="Text">The same in words.</param>
/// <param name="Dangerous">True when that can hurt somebody who holds the craft or runs to it.</param>
public sealed record ReturnSpan(Milliseconds From, Milliseconds To, ReturnOutcome Outcome, string Text, bool Dangerous)
{
    /// <summary>When the signal comes back, in words.</summary>
    public string When => LossWords.Back(From, To);
}
