using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Decides which packets are lost, by chance from a seed: the same seed gives the same losses on every machine.</summary>
internal sealed class PacketLuck
{
    private readonly SeededChance chance;

    private PacketLuck(SeededChance chance) => this.chance = chance;

    /// <summary>Chances from a seed, which is not 0.</summary>
    public PacketLuck(ulong seed)
        : this(new SeededChance(seed)) { }

    /// <summary>The same chances from here on.</summary>
    public PacketLuck Copy() => new(chance.Copy());

    /// <summary>True when the next packet comes.</summary>
    /// <param name="quality">The share of packets that come.</param>
    public bool Comes(Percent quality) => chance.Next() * 100 < quality.Value;
}
