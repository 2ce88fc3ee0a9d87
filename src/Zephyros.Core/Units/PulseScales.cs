namespace Zephyros.Core.Units;

/// <summary>Conversions between percent and microseconds; they live here and nowhere else.</summary>
public static class PulseScales
{
    [Figure(Station.Model, "One percent on the wide scale is", ProvenanceKind.CommonPractice, Unit = "µs")]
    private const double Wide = 5.12;

    [Figure(Station.Model, "One percent on the narrow scale is", ProvenanceKind.CommonPractice, Unit = "µs")]
    private const double Narrow = 4;

    [Figure(Station.Model, "One percent on the even scale is", ProvenanceKind.CommonPractice, Unit = "µs")]
    private const double Even = 5;

    /// <summary>Microseconds on one percent of <paramref name="scale"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The scale is none of the named ones.</exception>
    public static double MicrosecondsPerPercent(this PulseScale scale) =>
        scale switch
        {
            PulseScale.Wide => Wide,
            PulseScale.Narrow => Narrow,
            PulseScale.Even => Even,
            _ => throw new ArgumentOutOfRangeException(nameof(scale), scale, "Unknown scale."),
        };

    /// <summary>The pulse that <paramref name="value"/> becomes: 1500 plus percent times the scale.</summary>
    public static Microseconds ToMicroseconds(this PulseScale scale, Percent value) =>
        new(Microseconds.Neutral.Value + (scale.MicrosecondsPerPercent() * value.Value));

    /// <summary>The percent that a pulse stands for; the inverse of <see cref="ToMicroseconds"/>.</summary>
    public static Percent ToPercent(this PulseScale scale, Microseconds pulse) =>
        new((pulse - Microseconds.Neutral).Value / scale.MicrosecondsPerPercent());
}
