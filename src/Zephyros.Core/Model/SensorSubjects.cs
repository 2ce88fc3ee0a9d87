using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>What is known of a sensor by what it measures.</summary>
public static class SensorSubjects
{
    [Figure(
        Station.Return,
        "A foot has",
        ProvenanceKind.Published,
        Unit = "mm",
        Source = "International System of Units (NIST SP 811)",
        Place = "appendix B.8",
        Note = "the international foot, exact"
    )]
    private const double MillimetresInFoot = 304.8;

    private static readonly (string Own, string Unit, double PerOwn)[] OtherUnits =
    [
        ("m", "ft", 1000 / MillimetresInFoot),
        ("m", "km", 0.001),
        ("mAh", "Ah", 0.001),
    ];

    /// <summary>Who measures it where nothing else is said.</summary>
    public static SensorOrigin UsualOrigin(this SensorSubject subject) =>
        subject switch
        {
            SensorSubject.LinkQuality or SensorSubject.Strength or SensorSubject.DownLinkQuality =>
                SensorOrigin.Receiver,
            SensorSubject.Other
            or SensorSubject.Voltage
            or SensorSubject.Current
            or SensorSubject.ChargeUsed
            or SensorSubject.Height
            or SensorSubject.Distance
            or SensorSubject.Satellites => SensorOrigin.Board,
        };

    /// <summary>The unit that it is measured in; empty when it has none.</summary>
    public static string Unit(this SensorSubject subject) =>
        subject switch
        {
            SensorSubject.Other or SensorSubject.Satellites => "",
            SensorSubject.LinkQuality or SensorSubject.DownLinkQuality => "%",
            SensorSubject.Strength => "dBm",
            SensorSubject.Voltage => "V",
            SensorSubject.Current => "A",
            SensorSubject.ChargeUsed => "mAh",
            SensorSubject.Height or SensorSubject.Distance => "m",
        };

    /// <summary>The units in which it can be read, the one that it is measured in first; empty for what can have any.</summary>
    public static IReadOnlyList<string> Units(this SensorSubject subject) =>
        subject == SensorSubject.Other
            ? []
            : [subject.Unit(), .. OtherUnits.Where(o => o.Own == subject.Unit()).Select(o => o.Unit)];

    /// <summary>True when it can be read in a unit.</summary>
    public static bool Understands(this SensorSubject subject, string unit) =>
        subject.Units().Contains(unit, StringComparer.Ordinal);

    /// <summary>What it measures, in words.</summary>
    public static string Words(this SensorSubject subject, SensorOrigin origin) =>
        (subject, origin) switch
        {
            (SensorSubject.Voltage, SensorOrigin.Board) => "the flight battery's voltage",
            (SensorSubject.Voltage, SensorOrigin.Receiver) => "the receiver's supply voltage",
            (SensorSubject.Voltage, SensorOrigin.Transmitter) => "the transmitter's own battery",
            (SensorSubject.Other, _) => "something set by hand",
            (SensorSubject.LinkQuality, _) => "the up-link quality",
            (SensorSubject.Strength, _) => "the strength at the receiver",
            (SensorSubject.DownLinkQuality, _) => "the down-link quality",
            (SensorSubject.Current, _) => "the current",
            (SensorSubject.ChargeUsed, _) => "the charge used",
            (SensorSubject.Height, _) => "the height",
            (SensorSubject.Distance, _) => "the distance home",
            (SensorSubject.Satellites, _) => "the satellites",
            _ => throw new ArgumentOutOfRangeException(nameof(subject)),
        };

    /// <summary>How many of a sensor's own units one unit of its subject is; 1 where its unit is not understood.</summary>
    public static double UnitsPer(this SensorSubject subject, string unit)
    {
        foreach (var (own, other, perOwn) in OtherUnits)
            if (own == subject.Unit() && other == unit)
                return perOwn;
        return 1;
    }
}
