namespace Zephyros.Core.Flights.Table;

/// <summary>The units of columns, by what these mean. The first of each list is the one that is computed with.</summary>
public static class ColumnUnits
{
    /// <summary>Times as a clock shows them, with or without a date.</summary>
    public const string Clock = "h:min:s";

    /// <summary>A share of 1 instead of 100 %.</summary>
    public const string Share = "0 to 1";

    /// <summary>A throttle whose middle is 0.</summary>
    public const string Centred = "±100 %";

    /// <summary>A throttle as pulses.</summary>
    public const string Pulse = "µs";

    /// <summary>Decibels of which the sign was left out.</summary>
    public const string Unsigned = "−dBm";

    private const double MetresInFoot = 0.3048;

    /// <summary>The units that a column of a meaning may have.</summary>
    public static IReadOnlyList<ColumnUnit> Of(ColumnMeaning meaning) =>
        meaning switch
        {
            ColumnMeaning.LeftOut or ColumnMeaning.Satellites => [new("")],
            ColumnMeaning.Time => [new("s"), new("ms", 1e-3), new("µs", 1e-6), new(Clock)],
            ColumnMeaning.Voltage or ColumnMeaning.CellVoltage => [new("V"), new("mV", 1e-3)],
            ColumnMeaning.Current => [new("A"), new("mA", 1e-3)],
            ColumnMeaning.ChargeUsed => [new("mAh"), new("Ah", 1e3)],
            ColumnMeaning.Throttle => [new("%"), new(Share, 100), new(Centred, 0.5, 50), new(Pulse, 0.1, -100)],
            ColumnMeaning.LinkQuality or ColumnMeaning.DownLinkQuality => [new("%"), new(Share, 100)],
            ColumnMeaning.Strength => [new("dBm"), new(Unsigned, -1), new("%")],
            ColumnMeaning.Distance => [new("m"), new("km", 1e3), new("ft", MetresInFoot)],
            ColumnMeaning.Height => [new("m"), new("ft", MetresInFoot)],
        };

    /// <summary>A unit of a meaning by its symbol; null when it has none of that name.</summary>
    public static ColumnUnit? Find(ColumnMeaning meaning, string symbol) =>
        Of(meaning).Where(u => u.Symbol == symbol).Select(u => (ColumnUnit?)u).FirstOrDefault();

    /// <summary>What a meaning is called.</summary>
    public static string Words(this ColumnMeaning meaning) =>
        meaning switch
        {
            ColumnMeaning.LeftOut => "left out",
            ColumnMeaning.Time => "time",
            ColumnMeaning.Voltage => "voltage of the pack",
            ColumnMeaning.CellVoltage => "voltage of a cell",
            ColumnMeaning.Current => "current",
            ColumnMeaning.ChargeUsed => "charge used",
            ColumnMeaning.Throttle => "throttle",
            ColumnMeaning.LinkQuality => "link quality",
            ColumnMeaning.DownLinkQuality => "quality of the way down",
            ColumnMeaning.Strength => "strength",
            ColumnMeaning.Distance => "distance home",
            ColumnMeaning.Height => "height",
            ColumnMeaning.Satellites => "satellites",
        };
}
