using Zephyros.Core.Units;

namespace Zephyros.Core.Wire;

/// <summary>The facts of a wire format, as they are shown and computed with.</summary>
public sealed record WireDescriptor
{
    /// <summary>Zephyros' own name of the format.</summary>
    public required string Name { get; init; }

    /// <summary>The line in words: speed, framing and polarity, or marks and pulses.</summary>
    public required string Line { get; init; }

    /// <summary>How bytes stand on the line; null for a format made of pulses.</summary>
    public SerialFraming? Framing { get; init; }

    /// <summary>Bytes in a frame; 0 for a format made of pulses.</summary>
    public required int FrameBytes { get; init; }

    /// <summary>How many proportional channels it carries.</summary>
    public required int Channels { get; init; }

    /// <summary>How many frames it takes until every channel was sent once.</summary>
    public required int FramesForAll { get; init; }

    /// <summary>The pulse that a count of 0 would stand for.</summary>
    public required Microseconds Zero { get; init; }

    /// <summary>How much one count is.</summary>
    public required Microseconds Step { get; init; }

    /// <summary>The smallest count that is sent; what is lower saturates.</summary>
    public required int SmallestCount { get; init; }

    /// <summary>The largest count that is sent; what is higher saturates.</summary>
    public required int LargestCount { get; init; }

    /// <summary>The usual time from frame to frame, the shortest first.</summary>
    public required IReadOnlyList<Milliseconds> UsualPeriods { get; init; }

    /// <summary>The longest time that a frame takes on the wire, in milliseconds.</summary>
    public required Milliseconds TimeOnWire { get; init; }

    /// <summary>How the format shows that the signal is lost.</summary>
    public required string LossShownBy { get; init; }

    /// <summary>What has to be connected besides ground and supply.</summary>
    public required string Wires { get; init; }

    /// <summary>True when the board answers on a second wire.</summary>
    public bool TwoWay { get; init; }

    /// <summary>True when a checksum tells a good frame from a damaged one.</summary>
    public bool HasChecksum { get; init; }

    /// <summary>Where these facts come from.</summary>
    public required Provenance Provenance { get; init; }

    /// <summary>The pulse that a count stands for.</summary>
    public Microseconds ToMicroseconds(int count) => new(Zero.Value + (Step.Value * count));

    /// <summary>The count for a pulse. A pulse beyond what the format carries saturates; it never wraps.</summary>
    public int ToCount(Microseconds pulse, CountRounding rounding)
    {
        var exact = Exact(pulse);
        var whole =
            rounding == CountRounding.Truncate
                ? Math.Truncate(exact)
                : Math.Round(exact, MidpointRounding.AwayFromZero);
        return (int)Math.Clamp(whole, SmallestCount, LargestCount);
    }

    /// <summary>The count before it is made whole, such as 172.8 for 988 us in Packed 16.</summary>
    // Rounded to nine digits, so that 988 us gives 172.8 and not 172.79999: a truncating sender must not lose a count to
    // binary fractions.
    public double Exact(Microseconds pulse) => Math.Round((pulse - Zero).Value / Step.Value, 9);

    /// <summary>The time of a frame of bytes: bytes times bits per byte over baud.</summary>
    public static Milliseconds TimeOf(int bytes, SerialFraming framing) =>
        new(1000.0 * bytes * framing.BitsPerByte / framing.Baud);
}
