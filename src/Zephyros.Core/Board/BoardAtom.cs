namespace Zephyros.Core.Board;

/// <summary>One comparison of a received value with fixed limits.</summary>
/// <param name="Bit">The bit of the view that it sets.</param>
/// <param name="Channel">The channel whose value is compared, counted from 0.</param>
/// <param name="From">The lowest value that counts, in microseconds; it counts itself.</param>
/// <param name="UpTo">The highest value that counts, in microseconds; it counts itself.</param>
public readonly record struct BoardAtom(ulong Bit, int Channel, double From, double UpTo)
{
    /// <summary>Values below a limit.</summary>
    public static BoardAtom Below(ulong bit, int channel, double limit) =>
        new(bit, channel, double.NegativeInfinity, Math.BitDecrement(limit));

    /// <summary>Values above a limit.</summary>
    public static BoardAtom Above(ulong bit, int channel, double limit) =>
        new(bit, channel, Math.BitIncrement(limit), double.PositiveInfinity);

    /// <summary>A limit and the values above it.</summary>
    public static BoardAtom AtLeast(ulong bit, int channel, double limit) =>
        new(bit, channel, limit, double.PositiveInfinity);

    /// <summary>True when the value counts.</summary>
    public bool Holds(double value) => value >= From && value <= UpTo;
}
