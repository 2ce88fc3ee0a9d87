using Zephyros.Core.Captures;

namespace Zephyros.Core.Flights.Table;

/// <summary>How a table is made, by its first rows.</summary>
/// <param name="Columns">Its columns; exactly one of them is the time, unless <see cref="Time"/> is null.</param>
/// <param name="Time">The column of times; null when none is recognised.</param>
/// <param name="HeadRows">So many rows stand before the first one with numbers.</param>
/// <param name="DecimalCommas">True when numbers have commas instead of points.</param>
internal sealed record FlightSniff(
    IReadOnlyList<ColumnValues> Columns,
    ColumnValues? Time,
    int HeadRows,
    bool DecimalCommas
)
{
    // Rows that would be so far apart are counted in a smaller unit, in seconds.
    private const double FarApart = 3;

    /// <summary>True when the heads are fewer than the columns: something parts cells that should not.</summary>
    public bool TooFewHeads { get; private init; }

    /// <summary>Looks at the first rows of a table.</summary>
    /// <param name="sample">The rows.</param>
    /// <param name="told">What the pilot says of columns, by their place.</param>
    /// <param name="length">How long the file is, in bytes.</param>
    /// <returns>Null when there is no row of numbers.</returns>
    public static FlightSniff? Of(
        IReadOnlyList<string[]> sample,
        IReadOnlyDictionary<int, ColumnTold> told,
        long length
    )
    {
        var usual = sample
            .Where(IsNumbers)
            .GroupBy(r => r.Length)
            .OrderByDescending(g => g.Count())
            .ThenByDescending(g => g.Key)
            .FirstOrDefault();
        if (usual is null || usual.Key > FlightLimits.Columns)
            return null;
        var rows = usual.ToArray();
        var first = sample.TakeWhile(r => r.Length != usual.Key || !IsNumbers(r)).Count();
        var head = first > 0 && sample[first - 1].Length >= usual.Key ? sample[first - 1] : null;
        var average = Math.Max(2, rows.Average(r => r.Sum(c => c.Length + 1)));
        var expected = (int)Math.Min(FlightLimits.Rows, (length / average * 1.1) + 16);
        ColumnValues[] columns =
        [
            .. Enumerable
                .Range(0, usual.Key)
                .Select(i => new ColumnValues(i, head?[i] ?? "", told.GetValueOrDefault(i), expected)),
        ];
        var time = TimeOf(columns, rows);
        LeaveDoubles(columns, told);
        if (time is not null)
            DecideTime(time, head?[time.Index] ?? "", told.GetValueOrDefault(time.Index), rows);
        return new(columns, time, first, rows.Any(r => r.Any(c => c.Contains(',', StringComparison.Ordinal))))
        {
            TooFewHeads = first > 0 && head is null && sample[first - 1].Length > 1,
        };
    }

    // At least as many cells with numbers or times as with something else.
    private static bool IsNumbers(string[] cells)
    {
        var filled = cells.Where(c => c.Length > 0).ToArray();
        return cells.Length > 1
            && filled.Length > 0
            && 2 * filled.Count(c => TableCells.TryNumber(c, out _) || IsClock(c)) >= filled.Length;
    }

    private static bool IsClock(string cell) => new FlightClock(new(ColumnUnits.Clock)).Read(cell) is not null;

    private static ColumnValues? TimeOf(ColumnValues[] columns, string[][] rows)
    {
        if (Array.Find(columns, c => c.Meaning == ColumnMeaning.Time) is { } named)
            return named;
        var rising = Array.Find(columns, c => c.Meaning == ColumnMeaning.LeftOut && Rises(rows, c.Index));
        if (rising is null)
            return null;
        (rising.Meaning, rising.Remark) = (ColumnMeaning.Time, "It rises from row to row: taken for the time.");
        return rising;
    }

    private static bool Rises(string[][] rows, int column)
    {
        var times = Numbers(rows, column);
        return times.Length > 1
            && times.Length == rows.Length
            && times[^1] > times[0]
            && times.Zip(times.Skip(1)).All(t => t.Second >= t.First);
    }

    private static double[] Numbers(string[][] rows, int column)
    {
        var clock = rows.Any(r => r[column].Contains(':', StringComparison.Ordinal));
        var reader = new FlightClock(new(clock ? ColumnUnits.Clock : "s"));
        return [.. rows.Select(r => reader.Read(r[column])).OfType<double>()];
    }

    // What was told wins; else the first of a meaning.
    private static void LeaveDoubles(ColumnValues[] columns, IReadOnlyDictionary<int, ColumnTold> told)
    {
        foreach (var same in columns.Where(c => c.Meaning != ColumnMeaning.LeftOut).GroupBy(c => c.Meaning).ToArray())
        foreach (var other in same.OrderByDescending(c => told.ContainsKey(c.Index)).Skip(1))
            (other.Meaning, other.Remark) = (
                ColumnMeaning.LeftOut,
                $"A second column for {same.Key.Words()}: the first is taken."
            );
    }

    private static void DecideTime(ColumnValues time, string head, ColumnTold? told, string[][] rows)
    {
        var named = told?.Unit ?? HeadWords.Unit(ColumnMeaning.Time, head);
        if (rows.Any(r => r[time.Index].Contains(':', StringComparison.Ordinal)))
            time.SetUnit(ColumnUnits.Find(ColumnMeaning.Time, ColumnUnits.Clock)!.Value, ColumnHow.Range);
        else if (named is not null && ColumnUnits.Find(ColumnMeaning.Time, named) is { } unit)
            time.SetUnit(unit, told?.Unit is null ? ColumnHow.Head : ColumnHow.Told);
        else
        {
            var times = Numbers(rows, time.Index);
            var steps = times.Zip(times.Skip(1), (one, next) => next - one).Where(s => s > 0).Order().ToArray();
            var step = steps.Length == 0 ? 0 : steps[steps.Length / 2];
            var symbol =
                step < FarApart ? "s"
                : step < FarApart * 1000 ? "ms"
                : "µs";
            time.SetUnit(ColumnUnits.Find(ColumnMeaning.Time, symbol)!.Value, ColumnHow.Range);
            if (symbol != "s")
                time.Remark = $"{time.Remark} Rows are {step:0} apart: taken for {symbol}.".TrimStart();
        }
    }
}
