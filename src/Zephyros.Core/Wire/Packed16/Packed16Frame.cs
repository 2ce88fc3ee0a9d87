using System.Runtime.CompilerServices;

namespace Zephyros.Core.Wire.Packed16;

/// <summary>What one Packed 16 frame carries: sixteen counts (0 to 2047) and the flags.</summary>
public struct Packed16Frame : IEquatable<Packed16Frame>
{
    private CountArray counts;

    /// <summary>The flags of the frame.</summary>
    public Packed16Flags Flags { get; set; }

    /// <summary>True when the values are fresh: neither of the two loss flags is set.</summary>
    public readonly bool IsFresh => (Flags & (Packed16Flags.FrameLost | Packed16Flags.SignalLoss)) == 0;

    /// <summary>The count of a channel, 0 for channel 1. Only the lower eleven bits are sent.</summary>
    /// <exception cref="IndexOutOfRangeException">The index is not 0 to 15.</exception>
    public ushort this[int index]
    {
        readonly get => counts[index];
        set => counts[index] = value;
    }

    /// <inheritdoc />
    public readonly bool Equals(Packed16Frame other) =>
        Flags == other.Flags && ((ReadOnlySpan<ushort>)counts).SequenceEqual(other.counts);

    /// <inheritdoc />
    public override readonly bool Equals(object? obj) => obj is Packed16Frame other && Equals(other);

    /// <inheritdoc />
    public override readonly int GetHashCode()
    {
        var hash = new HashCode();
        foreach (var count in counts)
            hash.Add(count);
        hash.Add(Flags);
        return hash.ToHashCode();
    }

    /// <summary>Same counts and flags.</summary>
    public static bool operator ==(Packed16Frame left, Packed16Frame right) => left.Equals(right);

    /// <summary>Different counts or flags.</summary>
    public static bool operator !=(Packed16Frame left, Packed16Frame right) => !left.Equals(right);

    [InlineArray(Packed16Format.Channels)]
    private struct CountArray
    {
        private ushort first;
    }
}
