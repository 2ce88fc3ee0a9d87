using Zephyros.Core.Captures;

namespace Zephyros.Core.Flights.Table;

/// <summary>What the head of a column says.</summary>
/// <remarks>Common practice, no source: words and abbreviations of the trade.</remarks>
internal static class HeadWords
{
    // What another craft part's voltage is called, or a share of a battery: neither is the pack's voltage.
    private static readonly string[] NotPack =
    [
        "rx",
        "receiver",
        "tx",
        "radio",
        "transmitter",
        "servo",
        "percent",
        "%",
    ];

    private static readonly (ColumnMeaning Meaning, string[] Any, string[] With)[] Known =
    [
        (ColumnMeaning.DownLinkQuality, ["quality", "lq"], ["down", "downlink"]),
        (ColumnMeaning.LinkQuality, ["quality", "lq"], []),
        (ColumnMeaning.Strength, ["rssi", "strength", "dbm"], []),
        (ColumnMeaning.ChargeUsed, ["mah", "used", "consumed", "consumption", "drawn"], []),
        (ColumnMeaning.Current, ["current", "curr", "amps", "amp", "ampere", "amperes"], []),
        (ColumnMeaning.CellVoltage, ["vcell", "cell"], []),
        (ColumnMeaning.Voltage, ["voltage", "volt", "volts", "vbat", "battery", "batt", "bat", "pack"], []),
        (ColumnMeaning.Throttle, ["throttle", "thr"], []),
        (ColumnMeaning.Distance, ["distance", "dist"], []),
        (ColumnMeaning.Height, ["height", "altitude", "alt"], []),
        (ColumnMeaning.Satellites, ["satellites", "sats", "sat"], []),
        (ColumnMeaning.Time, ["time", "timestamp", "elapsed", "seconds", "sec", "clock", "t", "datetime"], []),
    ];

    private static readonly (string Unit, ColumnMeaning Meaning)[] ByUnit =
    [
        ("v", ColumnMeaning.Voltage),
        ("a", ColumnMeaning.Current),
        ("mah", ColumnMeaning.ChargeUsed),
        ("dbm", ColumnMeaning.Strength),
    ];

    /// <summary>What a column of this head means.</summary>
    public static ColumnMeaning Meaning(string head)
    {
        var raw = Raw(head);
        var words = raw.Concat(Parted(head)).ToHashSet(StringComparer.Ordinal);
        foreach (var (meaning, any, with) in Known)
        {
            if (!any.Any(words.Contains) || (with.Length > 0 && !with.Any(words.Contains)))
                continue;
            return meaning is ColumnMeaning.Voltage or ColumnMeaning.CellVoltage && NotPack.Any(words.Contains)
                ? ColumnMeaning.LeftOut
                : meaning;
        }

        return ByUnit.Where(u => raw is [var only] && only == u.Unit).Select(u => u.Meaning).FirstOrDefault();
    }

    /// <summary>The unit of a meaning that a head names; null when it names none.</summary>
    public static string? Unit(ColumnMeaning meaning, string head)
    {
        var words = Raw(head).Select(w => w == "us" ? "µs" : w.Replace('μ', 'µ')).ToHashSet(StringComparer.Ordinal);
        if (meaning == ColumnMeaning.Time && (words.Contains("sec") || words.Contains("seconds")))
            return "s";
        return ColumnUnits
            .Of(meaning)
            .Select(u => u.Symbol)
            .FirstOrDefault(s => s.Length > 0 && words.Contains(s.ToLowerInvariant()));
    }

    // A percent sign stands at the end of a word as well as alone.
    private static string[] Raw(string head) =>
        [.. TableCells.Words(head.Replace("%", " % ", StringComparison.Ordinal)).Select(w => w.ToLowerInvariant())];

    // "VBat" and "linkQuality" are two words each.
    private static IEnumerable<string> Parted(string head)
    {
        var parted = string.Concat(
            head.Select(
                (c, i) =>
                    i > 0
                    && (char.IsUpper(c) && char.IsLower(head[i - 1]) || char.IsDigit(c) && char.IsLetter(head[i - 1]))
                        ? $" {c}"
                        : $"{c}"
            )
        );
        return TableCells.Words(parted).Select(w => w.ToLowerInvariant());
    }
}
