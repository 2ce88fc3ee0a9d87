using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Packed16;

/// <summary>Packed 16: sixteen 11-bit counts, two digital channels and two loss flags in 25 bytes.</summary>
/// <remarks>Layout and count scale from memory (figures.md, "Wire formats" and "Packed 11-bit count"):
/// us = 880 + 0.625 x count.</remarks>
public static class Packed16Format
{
    /// <summary>The first byte of every frame.</summary>
    public const byte Header = 0x0F;

    /// <summary>The last byte of every frame.</summary>
    public const byte End = 0x00;

    /// <summary>Bytes in a frame.</summary>
    public const int FrameBytes = 25;

    /// <summary>Proportional channels in a frame.</summary>
    public const int Channels = 16;

    /// <summary>The largest count that 11 bits hold.</summary>
    public const int LargestCount = 2047;

    /// <summary>The four upper flag bits, which are always zero in a good frame.</summary>
    public const byte UnusedFlags = 0xF0;

    private const double ZeroCount = 880;
    private const double CountStep = 0.625;

    /// <summary>The facts of the format.</summary>
    public static WireDescriptor Descriptor { get; } =
        new(
            "Packed 16",
            "100 000 baud, 8E2, inverted (idles low)",
            Baud: 100_000,
            BitsPerByte: 12,
            FrameBytes,
            Channels,
            new Microseconds(CountStep),
            "flag bits: frame lost, signal loss",
            "from memory"
        );

    /// <summary>The pulse that a count stands for: 880 us at 0 to 2159.375 us at 2047.</summary>
    public static Microseconds ToMicroseconds(int count) => new(ZeroCount + (CountStep * count));

    /// <summary>The count for a pulse. A pulse beyond 880..2159.375 us saturates; it never wraps.</summary>
    public static int ToCount(Microseconds pulse, CountRounding rounding)
    {
        var exact = Exact(pulse);
        var whole =
            rounding == CountRounding.Truncate
                ? Math.Truncate(exact)
                : Math.Round(exact, MidpointRounding.AwayFromZero);
        return (int)Math.Clamp(whole, 0, LargestCount);
    }

    /// <summary>The count before it is made whole. For example 172.8 for 988 us.</summary>
    // The ratio is taken in hundredths of a microsecond steps so that 988 us gives 172.8 and not 172.79999: a truncating
    // sender must not lose a count to binary fractions.
    public static double Exact(Microseconds pulse) => Math.Round((pulse.Value - ZeroCount) / CountStep, 9);
}
