using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace Zephyros.Core.Captures;

/// <summary>Reads a table of levels: a column of times, and a 0 or 1 for each wire in columns of its own (RFC 4180; also with semicolons or
/// tabs, decimal commas, and in UTF-16).</summary>
/// <remarks>The first line may be a heading; the column of times is the one that names a time or a unit, else the first. A unit in it, such
/// as "Time [us]", is that of the times. Without one they are seconds.</remarks>
public static class LevelTableReader
{
    private static readonly (string Word, double Nanoseconds)[] Units =
    [
        ("ns", 1),
        ("us", 1e3),
        ("µs", 1e3),
        ("μs", 1e3),
        ("ms", 1e6),
        ("s", 1e9),
        ("sec", 1e9),
        ("seconds", 1e9),
    ];

    private static readonly string[] TimeWords = ["time", "t", "timestamp", "times"];

    /// <summary>Reads a table.</summary>
    /// <param name="stream">The file; it can be read again from its start.</param>
    /// <param name="cancel">Ends the work early.</param>
    /// <exception cref="OperationCanceledException">The work was ended early.</exception>
    public static CaptureReading Read(Stream stream, CancellationToken cancel)
    {
        var delimiter = TableCells.Delimiter(stream);
        using var reader = TableCells.Text(stream);
        using var parser = new CsvParser(
            reader,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = delimiter.ToString(),
                TrimOptions = TrimOptions.Trim,
                MaxFieldSize = CaptureLimits.LineLength,
                AllowComments = true,
                BadDataFound = null,
            }
        );
        var table = new Table();
        try
        {
            while (parser.Read())
            {
                if (parser.RawRow % 4096 == 0)
                    cancel.ThrowIfCancellationRequested();
                if (parser.Record is { } cells && table.Take(cells) is { } reason)
                    return CaptureReading.Failed(parser.RawRow, reason);
            }
        }
        catch (MaxFieldSizeException)
        {
            return CaptureReading.Failed(parser.RawRow, $"A cell has more than {CaptureLimits.LineLength} characters.");
        }

        return table.Result();
    }

    private sealed class Table
    {
        private string[] names = [];
        private LineBuilder[] wires = [];
        private int timeColumn;
        private double unit = 1e9;
        private long start;
        private long now;
        private long rows;
        private int changes;

        // Says what is wrong with a row; null when nothing is.
        public string? Take(string[] cells)
        {
            if (cells.All(c => c.Length == 0) || cells[0].StartsWith(TableCells.Remark))
                return null;
            if (
                rows == 0
                && names.Length == 0
                && cells.Any(c => c.Any(char.IsLetter) && !TableCells.TryNumber(c, out _))
            )
                return Head(cells);
            if (cells.Length < 2)
                return "A line needs a time and a level, such as 0.0015,1.";
            if (rows > 0 && cells.Length <= wires.Length)
                return $"This line has {cells.Length} columns, the first had {wires.Length + 1}.";
            if (!TableCells.TryNumber(cells[timeColumn], out var time))
                return $"\"{TableCells.Shown(cells[timeColumn])}\" is no time.";
            var next = time * unit;
            if (Math.Abs(next) > CaptureLimits.LatestTime)
                return "A recording may last a day.";
            if (rows > 0 && next < now - 0.5)
                return "Time goes back.";
            now = (long)Math.Round(next);
            if (rows++ == 0)
            {
                start = now;
                if (cells.Length - 1 > CaptureLimits.Wires)
                    return $"A recording may have {CaptureLimits.Wires} wires.";
                wires =
                [
                    .. Enumerable
                        .Range(0, cells.Length)
                        .Where(c => c != timeColumn)
                        .Select(c => new LineBuilder(Name(c))),
                ];
            }

            for (var i = 0; i < wires.Length; i++)
            {
                var cell = cells[i < timeColumn ? i : i + 1];
                if (cell is not ("0" or "1"))
                    return $"A level is 0 or 1, not \"{TableCells.Shown(cell)}\".";
                if (wires[i].Put(now, cell == "1"))
                    changes++;
            }

            return changes > CaptureLimits.Changes ? CaptureLimits.TooManyChanges : null;
        }

        public CaptureReading Result() =>
            rows == 0
                ? CaptureReading.Failed(0, "There is no line with a time and a level.")
                : CaptureReading.Of(wires.Select(w => w.Build(start, now)));

        private string? Head(string[] cells)
        {
            if (cells.Length < 2)
                return "A line needs a time and a level, such as 0.0015,1.";
            names = cells;
            var named = Array.FindIndex(
                cells,
                c => TableCells.Words(c).Any(w => TimeWords.Contains(w, StringComparer.OrdinalIgnoreCase))
            );
            timeColumn = named >= 0 ? named : Math.Max(0, Array.FindIndex(cells, c => UnitOf(c) is not null));
            unit = UnitOf(cells[timeColumn]) ?? 1e9;
            return null;
        }

        private string Name(int column) =>
            column < names.Length && names[column].Length > 0 ? TableCells.Shown(names[column]) : $"line {column}";

        // A unit as a word of its own in a heading.
        private static double? UnitOf(string heading)
        {
            var words = TableCells.Words(heading);
            foreach (var (word, nanoseconds) in Units)
                if (words.Contains(word, StringComparer.OrdinalIgnoreCase))
                    return nanoseconds;
            return null;
        }
    }
}
