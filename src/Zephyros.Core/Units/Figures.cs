using System.Globalization;

namespace Zephyros.Core.Units;

/// <summary>Writes figures the same way everywhere: point as the decimal mark, a true minus sign, no digit that says nothing.</summary>
public static class Figures
{
    /// <summary>A number with up to <paramref name="decimals"/> decimals, trailing zeros dropped.</summary>
    public static string Plain(double value, int decimals = 2)
    {
        var rounded = Math.Round(value, decimals, MidpointRounding.AwayFromZero);
        var text = Math.Abs(rounded).ToString("0." + new string('#', decimals), CultureInfo.InvariantCulture);
        return rounded < 0 ? "−" + text : text;
    }

    /// <summary>A number with exactly <paramref name="decimals"/> decimals, so that a live figure does not jump about.</summary>
    public static string Steady(double value, int decimals)
    {
        var rounded = Math.Round(value, decimals, MidpointRounding.AwayFromZero);
        var text = Math.Abs(rounded)
            .ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture);
        return rounded < 0 ? "−" + text : text;
    }

    /// <summary>A count that may be huge: its figures, or a few of them with the word for what they count.</summary>
    public static string Rough(double count) =>
        count switch
        {
            < 1e6 => Math.Round(count).ToString("#,0", CultureInfo.InvariantCulture).Replace(',', '\u202f'),
            < 1e9 => $"{Plain(count / 1e6, 1)} million",
            < 1e12 => $"{Plain(count / 1e9, 1)} billion",
            _ => $"10 to the power of {Math.Floor(Math.Log10(count)).ToString("0", CultureInfo.InvariantCulture)}",
        };

    /// <summary>Like <see cref="Plain"/>, with a plus sign before a number that is positive as it is written.</summary>
    public static string Signed(double value, int decimals = 1) =>
        Math.Round(value, decimals, MidpointRounding.AwayFromZero) > 0
            ? "+" + Plain(value, decimals)
            : Plain(value, decimals);
}
