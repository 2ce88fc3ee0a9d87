using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Zephyros.Core.Captures;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Table;

/// <summary>Reads a recorded flight: a table over time (RFC 4180; also with semicolons or tabs, decimal commas, and in UTF-16), whose
/// columns are recognised by head and range, and can be told.</summary>
public static class FlightFile
{
    // So many rows tell how the table is made.
    private const int SampleRows = 200;
    private const int Often = 2048;

    /// <summary>Reads a flight.</summary>
    /// <param name="stream">The file; it can be read again from its start.</param>
    /// <param name="told">What the pilot says of columns, by their place.</param>
    /// <param name="progress">Is told the share of the file that was read, 0 to 1.</param>
    /// <param name="cancel">Ends the work early.</param>
    /// <exception cref="OperationCanceledException">The work was ended early.</exception>
    public static FlightReading Read(
        Stream stream,
        IReadOnlyDictionary<int, ColumnTold> told,
        IProgress<double>? progress,
        CancellationToken cancel
    )
    {
        if (stream.Length > FlightLimits.Bytes)
            return FlightReading.Failed($"A recorded flight may have {FlightLimits.Bytes >> 20} MB.");
        if (stream.Length == 0)
            return FlightReading.Failed("The file is empty.");
        var delimiter = TableCells.Delimiter(stream);
        var sample = new List<string[]>();
        foreach (var row in Rows(stream, delimiter, _ => { }).Take(SampleRows + 1))
            sample.Add(row.Cells.Record!);
        stream.Position = 0;
        if (FlightSniff.Of(sample, told, stream.Length) is not { } sniff)
            return FlightReading.Failed("There is no row of numbers.");
        var table = new FlightTable(sniff);
        foreach (var (cells, line) in Rows(stream, delimiter, table.Damaged))
        {
            if (line % Often == 0)
            {
                cancel.ThrowIfCancellationRequested();
                progress?.Report(stream.Position / (double)stream.Length);
            }

            if (!table.Take(cells, line))
                return FlightReading.Failed(
                    $"A recorded flight may have {Figures.Rough(FlightLimits.Rows)} rows: record a shorter time, or fewer rows a second."
                );
        }

        return table.Result(delimiter);
    }

    private static IEnumerable<(CsvParser Cells, int Line)> Rows(
        Stream stream,
        char delimiter,
        Action<FlightDamage> damaged
    )
    {
        stream.Position = 0;
        using var text = TableCells.Text(stream);
        using var lines = new SoundLines(text, delimiter, damaged);
        using var parser = new CsvParser(
            lines,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = delimiter.ToString(),
                TrimOptions = TrimOptions.Trim,
                AllowComments = true,
                BadDataFound = null,
            }
        );
        while (parser.Read())
            if (parser.Count > 1 || parser[0].Length > 0)
                yield return (parser, parser.RawRow);
    }
}
