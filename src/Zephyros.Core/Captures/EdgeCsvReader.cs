using System.Globalization;

namespace Zephyros.Core.Captures;

/// <summary>Reads a list of levels: a time and a 0 or 1 on each line, parted by commas (RFC 4180) or semicolons.</summary>
/// <remarks>The first line may be a heading; a unit in it, such as "time (us)", is that of the times. Without one they are seconds.</remarks>
public static class EdgeCsvReader
{
    private static readonly (string Word, double Nanoseconds)[] Units =
    [
        ("ns", 1),
        ("us", 1e3),
        ("ms", 1e6),
        ("s", 1e9),
    ];

    /// <summary>Reads a list.</summary>
    /// <param name="stream">The file.</param>
    public static CaptureReading Read(Stream stream)
    {
        var lines = new TextLines(stream);
        var builder = new LineBuilder("line");
        var unit = 1e9;
        var (start, now, count) = (0L, 0L, 0L);
        while (lines.Next() is { } line)
        {
            var cells = line.Split([',', ';'], StringSplitOptions.TrimEntries);
            if (line.Trim().Length == 0 || line[0] is '#' or ';')
                continue;
            if (cells.Length < 2)
                return Fail("A line needs a time and a level, such as 0.0015,1.");
            if (!TryNumber(cells[0], out var time))
            {
                if (count > 0)
                    return Fail($"\"{Shown(cells[0])}\" is no time.");
                unit = UnitOf(cells[0]);
                continue;
            }

            if (cells[1] is not ("0" or "1"))
                return Fail($"A level is 0 or 1, not \"{Shown(cells[1])}\".");
            var next = time * unit;
            if (Math.Abs(next) > CaptureLimits.LatestTime)
                return Fail("A recording may last a day.");
            if (count > 0 && next < now - 0.5)
                return Fail("Time goes back.");
            now = (long)Math.Round(next);
            if (count++ == 0)
                start = now;
            builder.Put(now, cells[1] == "1");
        }

        if (lines.Problem is { } problem)
            return Fail(problem);
        return count == 0
            ? CaptureReading.Failed(0, "There is no line with a time and a level.")
            : new CaptureReading(builder.Build(start, now), null, []);

        CaptureReading Fail(string reason) => CaptureReading.Failed(lines.Number, reason);
    }

    private static bool TryNumber(string text, out double number) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out number) && double.IsFinite(number);

    // A unit as a word of its own in a heading.
    private static double UnitOf(string heading)
    {
        var words = heading.Split([' ', '(', ')', '[', ']', '/', '_'], StringSplitOptions.RemoveEmptyEntries);
        foreach (var (word, nanoseconds) in Units)
            if (words.Contains(word, StringComparer.OrdinalIgnoreCase))
                return nanoseconds;
        return 1e9;
    }

    private static string Shown(string text) => text.Length <= 40 ? text : text[..40] + "…";
}
