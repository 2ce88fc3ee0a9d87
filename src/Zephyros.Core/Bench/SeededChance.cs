namespace Zephyros.Core.Bench;

/// <summary>Chance from a seed: the same seed gives the same on every machine, by xorshift (Marsaglia 2003).</summary>
/// <param name="seed">Not 0.</param>
internal sealed class SeededChance(ulong seed)
{
    private ulong state = seed;

    /// <summary>The same chances from here on.</summary>
    public SeededChance Copy() => new(state);

    /// <summary>A number between 0 and 1, 1 excluded; all are as likely.</summary>
    public double Next()
    {
        state ^= state << 13;
        state ^= state >> 7;
        state ^= state << 17;
        return (state >> 11) * (1.0 / (1UL << 53));
    }
}
