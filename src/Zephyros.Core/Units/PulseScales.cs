namespace Zephyros.Core.Units;

/// <summary>Conversions between percent and microseconds; they live here and nowhere else.</summary>
public static class PulseScales
{
    /// <summary>Microseconds on one percent of <paramref name="scale"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The scale is none of the named ones.</exception>
    public static double MicrosecondsPerPercent(this PulseScale scale) =>
        scale switch
        {
            PulseScale.Wide => 5.12,
            PulseScale.Narrow => 4.0,
            PulseScale.Even => 5.0,
            _ => throw new ArgumentOutOfRangeException(nameof(scale), scale, "Unknown scale."),
        };

    /// <summary>The pulse that <paramref name="value"/> becomes: 1500 plus percent times the scale.</summary>
    public static Microseconds ToMicroseconds(this PulseScale scale, Percent value) =>
        new(Microseconds.Neutral.Value + (scale.MicrosecondsPerPercent() * value.Value));

    /// <summary>The percent that a pulse stands for; the inverse of <see cref="ToMicroseconds"/>.</summary>
    public static Percent ToPercent(this PulseScale scale, Microseconds pulse) =>
        new((pulse.Value - Microseconds.Neutral.Value) / scale.MicrosecondsPerPercent());
}
