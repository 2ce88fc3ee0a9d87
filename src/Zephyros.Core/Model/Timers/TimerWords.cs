using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Timers;

/// <summary>Writes and says what timers show.</summary>
public static class TimerWords
{
    /// <summary>What a display shows of a timer, which changes with every whole second that was counted.</summary>
    public static string Shown(FlightTimer timer, TimeSpan counted) => Clock(timer.Shows(WholeSeconds(counted)));

    /// <summary>A time as a clock shows it, in seconds that have begun: "2:05", "−0:07", "1:02:05".</summary>
    public static string Clock(Milliseconds time)
    {
        var shown = (long)Math.Ceiling(time.Value / 1000);
        var (seconds, sign) = (Math.Abs(shown), shown < 0 ? "−" : "");
        var (hours, minutes, rest) = (seconds / 3600, seconds / 60 % 60, seconds % 60);
        return hours > 0 ? $"{sign}{hours}:{minutes:00}:{rest:00}" : $"{sign}{minutes}:{rest:00}";
    }

    /// <summary>As a voice says it: "2 minutes 5 seconds", "30 seconds".</summary>
    public static string Said(Milliseconds time)
    {
        var seconds = (long)Math.Round(Math.Abs(time.Value) / 1000, MidpointRounding.AwayFromZero);
        var (minutes, rest) = (seconds / 60, seconds % 60);
        var words = (minutes, rest) switch
        {
            (0, _) => Counted(rest, "second"),
            (_, 0) => Counted(minutes, "minute"),
            _ => $"{Counted(minutes, "minute")} {Counted(rest, "second")}",
        };
        return time.Value <= -500 ? $"minus {words}" : words;
    }

    /// <summary>A call of a timer: "Flight time 30 seconds", and at the end of one that counts down "Flight time is over".</summary>
    public static string Call(FlightTimer timer, Milliseconds shown) =>
        timer.From is not null && shown.Value == 0 ? $"{timer.Label} is over" : $"{timer.Label} {Said(shown)}";

    /// <summary>The seconds that are over.</summary>
    public static TimeSpan WholeSeconds(TimeSpan counted) =>
        TimeSpan.FromTicks(counted.Ticks - (counted.Ticks % TimeSpan.TicksPerSecond));

    private static string Counted(long number, string what) => number == 1 ? $"1 {what}" : $"{number} {what}s";
}
