using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>Says spans of a flight as people do: tenths of a second while they are few, minutes once they are many.</summary>
internal static class FlightTimes
{
    private const double Tenths = 20;
    private const double Minutes = 120;

    /// <summary>A span in words: "4.9 s", "35 s", "3 min 26 s".</summary>
    public static string Words(TimeSpan span)
    {
        var seconds = span.TotalSeconds;
        if (seconds < Tenths)
            return $"{Figures.Plain(seconds, 1)} s";
        var whole = Math.Round(seconds);
        return whole < Minutes
            ? $"{Figures.Plain(whole, 0)} s"
            : $"{Figures.Rough(Math.Floor(whole / 60))} min {Figures.Plain(whole % 60, 0)} s";
    }
}
