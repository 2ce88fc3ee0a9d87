using System.Globalization;
using Zephyros.Core.Captures;

namespace Zephyros.Core.Flights.Table;

/// <summary>Reads the time of a row: a number, or what a clock shows.</summary>
internal sealed class FlightClock(ColumnUnit unit)
{
    private const double Day = 86_400;

    // A time of day that falls elsewhere is no midnight.
    private const double AroundMidnight = 3600;

    private double days;
    private double last = double.NegativeInfinity;

    /// <summary>The time in seconds from whatever it counts from; null when the cell says none.</summary>
    public double? Read(string cell)
    {
        if (unit.Symbol != ColumnUnits.Clock)
            return TableCells.TryNumber(cell, out var number) ? unit.Taken(number) : null;
        if (OfDay(cell) is not { } time)
            return DateTimeOffset.TryParse(
                cell.Replace(',', '.'),
                CultureInfo.InvariantCulture,
                DateTimeStyles.AssumeUniversal,
                out var date
            )
                ? (date - DateTimeOffset.UnixEpoch).TotalSeconds
                : null;
        if (last > Day - AroundMidnight && time < AroundMidnight)
            days += Day;
        last = time;
        return days + time;
    }

    // Hours, minutes and seconds, or minutes and seconds.
    private static double? OfDay(string cell)
    {
        var parts = cell.Split(':');
        if (parts.Length is < 2 or > 3)
            return null;
        var time = 0.0;
        for (var i = 0; i < parts.Length; i++)
        {
            var isSeconds = i == parts.Length - 1;
            if (
                !TableCells.TryNumber(parts[i], out var part)
                || part < 0
                || (i > 0 && part >= 60)
                || (!isSeconds && part != Math.Floor(part))
            )
                return null;
            time = (time * 60) + part;
        }

        return time;
    }
}
