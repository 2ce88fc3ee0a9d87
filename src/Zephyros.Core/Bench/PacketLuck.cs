using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Decides which packets are lost, by chance from a seed: the same seed gives the same losses on every machine.</summary>
/// <param name="seed">Not 0.</param>
internal sealed class PacketLuck(ulong seed)
{
    private ulong state = seed;

    /// <summary>The same chances from here on.</summary>
    public PacketLuck Copy() => new(state);

    /// <summary>True when the next packet comes.</summary>
    /// <param name="quality">The share of packets that come.</param>
    public bool Comes(Percent quality) => Chance() * 100 < quality.Value;

    // Between 0 and 1, by xorshift (Marsaglia 2003).
    private double Chance()
    {
        state ^= state << 13;
        state ^= state >> 7;
        state ^= state << 17;
        return (state >> 11) * (1.0 / (1UL << 53));
    }
}
