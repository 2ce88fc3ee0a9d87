using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>What is left of a value on a channel to which a link gives only a few steps.</summary>
/// <remarks>Common practice, no source: some links carry arming as on and off, and other auxiliaries with 3, 6 or 64 steps.
/// That the steps lie evenly over the travel from -100 to +100 %, and that a value halfway goes up, is our own assumption.</remarks>
public static class LinkSteps
{
    /// <summary>A channel with full resolution.</summary>
    public const int Full = 0;

    /// <summary>The nearest step; a value beyond the travel goes to its end.</summary>
    /// <param name="sent">What is sent.</param>
    /// <param name="steps">How many steps there are, 2 or more.</param>
    /// <param name="scale">The transmitter's scale, which says where the travel ends.</param>
    public static Microseconds Through(Microseconds sent, int steps, PulseScale scale)
    {
        var low = scale.ToMicroseconds(Percent.Low).Value;
        var high = scale.ToMicroseconds(Percent.High).Value;
        var share = Math.Clamp((sent.Value - low) / (high - low), 0, 1);
        var step = Math.Round(share * (steps - 1), MidpointRounding.AwayFromZero);
        return new Microseconds(low + ((high - low) * step / (steps - 1)));
    }
}
