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

    /// <summary>Like <see cref="Plain"/>, with a plus sign before a positive number.</summary>
    public static string Signed(double value, int decimals = 1)
    {
        var text = Plain(value, decimals);
        return text[0] is '−' or '0' && Math.Round(value, decimals) <= 0 ? text : "+" + text;
    }
}
