using CsvHelper;
using Zephyros.Core.Captures;

namespace Zephyros.Core.Flights.Table;

/// <summary>Takes the rows of a table one by one, and makes a recording of them. What cannot be read is named by its line, and nothing
/// else is lost for it.</summary>
internal sealed class FlightTable
{
    private const int ShownGaps = 5;

    private readonly FlightSniff sniff;
    private readonly ColumnValues[] kept;
    private readonly FlightClock clock;
    private readonly RowTimes order = new();
    private readonly List<TimeSpan> times = [];
    private readonly List<FlightDamage> damages = [];
    private readonly List<string> remarks = [];
    private double[] row;
    private double[] held;
    private int heldLine;
    private int seen;
    private int otherLength;
    private int damagedRows;
    private int damagedCells;

    public FlightTable(FlightSniff sniff)
    {
        this.sniff = sniff;
        kept = [.. sniff.Columns.Where(c => c.Meaning is not (ColumnMeaning.LeftOut or ColumnMeaning.Time))];
        clock = new FlightClock(sniff.Time?.Unit ?? new("s"));
        (row, held) = (new double[kept.Length], new double[kept.Length]);
    }

    /// <summary>Notes a row that is left out.</summary>
    public void Damaged(FlightDamage damage)
    {
        damagedRows++;
        Note(damage);
    }

    /// <summary>Takes a row.</summary>
    /// <param name="cells">Its cells.</param>
    /// <param name="line">Its line.</param>
    /// <returns>False when there are too many rows.</returns>
    public bool Take(CsvParser cells, int line)
    {
        if (seen++ < sniff.HeadRows)
            return true;
        if (cells.Count != sniff.Columns.Count)
        {
            otherLength++;
            Damaged(
                new(line, $"The row has {cells.Count} cells, the others {sniff.Columns.Count}: the row is left out.")
            );
            return true;
        }

        if (sniff.Time is not { Index: var at })
            return Look(cells);
        if (clock.Read(cells[at]) is not { } time)
        {
            Damaged(new(line, $"“{TableCells.Shown(cells[at])}” is no time: the row is left out."));
            return true;
        }

        for (var i = 0; i < kept.Length; i++)
            if (!ColumnValues.Read(cells[kept[i].Index], out row[i]))
                DamagedCell(line, kept[i], cells[kept[i].Index]);
        Put(time, line);
        return times.Count <= FlightLimits.Rows;
    }

    /// <summary>The recording, once all rows are taken.</summary>
    public FlightReading Result(char delimiter)
    {
        if (order.Holds)
            OutOfLine();
        foreach (var column in kept)
            column.Decide();
        Tell(delimiter);
        var series = kept.Where(c => c.Meaning is not ColumnMeaning.LeftOut && c.Filled > 0)
            .Select(c => c.Series())
            .ToArray();
        var problem =
            delimiter == ',' && (sniff.TooFewHeads || otherLength > times.Count)
                ? "Rows have more cells than the heads, or than each other: numbers with commas, parted by commas? Write them with points, or part the cells by semicolons."
            : sniff.Time is null ? "No column is known to be the time: say which one is."
            : times.Count < 2 || times[^1] <= TimeSpan.Zero ? "A recorded flight needs two rows with times that differ."
            : series.Length == 0 ? "No column but the time is understood: say what they mean."
            : times[^1] > FlightLimits.Longest ? "A recorded flight may last a day."
            : null;
        var recording = problem is null ? new FlightRecording([.. times], series) : null;
        if (recording is not null)
            TellGaps(recording);
        return new(
            recording,
            [.. sniff.Columns.Select(c => c.Told())],
            [.. damages.OrderBy(d => d.Line)],
            damagedRows,
            damagedCells,
            remarks,
            problem
        );
    }

    // Without a time nothing can be kept; the pilot sees what the columns are like.
    private bool Look(CsvParser cells)
    {
        foreach (var column in kept)
            if (ColumnValues.Read(cells[column.Index], out var number))
                column.See(number);
        return true;
    }

    private void Put(double time, int line)
    {
        var holding = order.Holds;
        switch (order.Take(time))
        {
            case RowTimes.Fate.Next:
                if (holding)
                    OutOfLine();
                Store(order.At, row);
                break;
            case RowTimes.Fate.Held:
                if (holding)
                    OutOfLine();
                (row, held, heldLine) = (held, row, line);
                break;
            case RowTimes.Fate.Jumped:
                remarks.Add(
                    $"Line {heldLine}: the clock goes {(order.Jump < 0 ? "back" : "on")} by {FlightTimes.Words(TimeSpan.FromSeconds(Math.Abs(order.Jump)))}. What follows is put right after what was."
                );
                Store(order.HeldAt, held);
                Store(order.At, row);
                break;
            default:
                throw new InvalidOperationException("A row has another fate.");
        }
    }

    private void Store(double at, double[] numbers)
    {
        times.Add(TimeSpan.FromSeconds(at));
        for (var i = 0; i < kept.Length; i++)
            kept[i].Add(numbers[i]);
    }

    private void OutOfLine() =>
        Damaged(new(heldLine, "Its time is out of line with the rows around it: the row is left out."));

    private void DamagedCell(int line, ColumnValues column, string cell)
    {
        damagedCells++;
        Note(
            new(
                line,
                $"“{TableCells.Shown(cell)}” is no number for {column.Meaning.Words()} (column {column.Index + 1}): the cell is left out."
            )
        );
    }

    private void Note(FlightDamage damage)
    {
        if (damages.Count < FlightLimits.Damages)
            damages.Add(damage);
    }

    private void Tell(char delimiter)
    {
        if (sniff.DecimalCommas)
            remarks.Add("Numbers have decimal commas.");
        if (delimiter != ',')
            remarks.Add(delimiter == '\t' ? "Cells are parted by tabs." : "Cells are parted by semicolons.");
        if (sniff.HeadRows > 1)
            remarks.Add($"{sniff.HeadRows - 1} lines before the heads of the columns are left out.");
        if (sniff.HeadRows == 0)
            remarks.Add("The columns have no heads: say what they mean.");
    }

    private void TellGaps(FlightRecording recording)
    {
        var gaps = new List<(TimeSpan At, TimeSpan Length)>();
        for (var i = 1; i < recording.Times.Length; i++)
            if (recording.Times[i] - recording.Times[i - 1] is var length && length > recording.Gap)
                gaps.Add((recording.Times[i - 1], length));
        foreach (var (at, length) in gaps.Take(ShownGaps))
            remarks.Add(
                $"Nothing was recorded for {FlightTimes.Words(length)} from {FlightTimes.Words(at)} on: no telemetry came, or the recorder stood."
            );
        if (gaps.Count > ShownGaps)
            remarks.Add($"{gaps.Count - ShownGaps} more gaps.");
    }
}
