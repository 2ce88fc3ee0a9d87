using System.Globalization;
using System.Text;
using CsCheck;
using Microsoft.VisualBasic.FileIO;
using Zephyros.Core.Flights.Invented;
using Zephyros.Core.Flights.Table;

namespace Zephyros.Core.Tests.Flights;

/// <summary>Tables of recorded flights: how columns are recognised, and what becomes of what cannot be read.</summary>
public sealed class FlightFileTests
{
    [Theory]
    [InlineData("time (s)", "0;0.5", ColumnMeaning.Time, "s", 0.5)]
    [InlineData("t [ms]", "0;500", ColumnMeaning.Time, "ms", 0.5)]
    [InlineData("Timestamp", "0;20000", ColumnMeaning.Time, "µs", 0.02)]
    [InlineData("Timestamp", "0;20", ColumnMeaning.Time, "ms", 0.02)]
    [InlineData("Timestamp", "0;2.9", ColumnMeaning.Time, "s", 2.9)]
    [InlineData("Clock", "23:59:59.5;00:00:00.25", ColumnMeaning.Time, "h:min:s", 0.75)]
    [InlineData("Clock", "59:59.5;60:00", ColumnMeaning.Time, "h:min:s", 0.5)]
    [InlineData("When", "2026-05-01T23:59:59Z;2026-05-02T00:00:01Z", ColumnMeaning.Time, "h:min:s", 2)]
    [InlineData("time", "1800000000;1800000001", ColumnMeaning.Time, "s", 1)]
    public void A_time_is_taken_by_its_head_or_by_how_far_rows_are_apart(
        string head,
        string cells,
        ColumnMeaning meaning,
        string unit,
        double end
    )
    {
        var times = cells.Split(';');
        // The last row only shows that time goes on.
        var reading = FlightRig.Read($"{head},pack\n{times[0]},14.5\n{times[1]},14.4\n");
        Assert.Equal((meaning, unit), (reading.Columns[0].Meaning, reading.Columns[0].Unit));
        Assert.Equal(end, reading.Recording!.End.TotalSeconds, 6);
    }

    [Theory]
    [InlineData("Pack voltage [V]", 16.4, ColumnMeaning.Voltage, "V", 16.4)]
    [InlineData("VBat", 16400, ColumnMeaning.Voltage, "mV", 16.4)]
    [InlineData("voltage (mV)", 16400, ColumnMeaning.Voltage, "mV", 16.4)]
    [InlineData("Battery", 4.1, ColumnMeaning.CellVoltage, "V", 4.1)]
    [InlineData("cell voltage", 4.1, ColumnMeaning.CellVoltage, "V", 4.1)]
    [InlineData("Battery current (A)", 31, ColumnMeaning.Current, "A", 31)]
    [InlineData("curr", 31000, ColumnMeaning.Current, "mA", 31)]
    [InlineData("Battery used [Ah]", 0.5, ColumnMeaning.ChargeUsed, "Ah", 500)]
    [InlineData("mAh", 500, ColumnMeaning.ChargeUsed, "mAh", 500)]
    [InlineData("throttle", 0.5, ColumnMeaning.Throttle, ColumnUnits.Share, 50)]
    [InlineData("throttle", -50, ColumnMeaning.Throttle, ColumnUnits.Centred, 25)]
    [InlineData("thr", 1600, ColumnMeaning.Throttle, ColumnUnits.Pulse, 60)]
    [InlineData("thr", 60, ColumnMeaning.Throttle, "%", 60)]
    [InlineData("thr", 600, ColumnMeaning.LeftOut, "", 0)]
    [InlineData("linkQuality", 99, ColumnMeaning.LinkQuality, "%", 99)]
    [InlineData("LQ", 0.99, ColumnMeaning.LinkQuality, ColumnUnits.Share, 99)]
    [InlineData("LQ", 250, ColumnMeaning.LeftOut, "", 0)]
    [InlineData("downlink quality", 99, ColumnMeaning.DownLinkQuality, "%", 99)]
    [InlineData("RSSI", -70, ColumnMeaning.Strength, "dBm", -70)]
    [InlineData("RSSI", 70, ColumnMeaning.Strength, "%", 70)]
    [InlineData("RSSI [dBm]", 70, ColumnMeaning.Strength, ColumnUnits.Unsigned, -70)]
    [InlineData("Distance (km)", 1.2, ColumnMeaning.Distance, "km", 1200)]
    [InlineData("altitude [ft]", 100, ColumnMeaning.Height, "ft", 30.48)]
    [InlineData("sats", 14, ColumnMeaning.Satellites, "", 14)]
    [InlineData("Receiver voltage", 5.1, ColumnMeaning.LeftOut, "", 0)]
    [InlineData("Battery (%)", 80, ColumnMeaning.LeftOut, "", 0)]
    [InlineData("Yaw", 3, ColumnMeaning.LeftOut, "", 0)]
    public void A_column_is_taken_by_its_head_and_the_range_of_its_numbers(
        string head,
        double value,
        ColumnMeaning meaning,
        string unit,
        double taken
    )
    {
        var cell = value.ToString(CultureInfo.InvariantCulture);
        var reading = FlightRig.Read($"time,{head},height\n0,{cell},1\n1,{cell},1\n");
        Assert.Equal((meaning, unit), (reading.Columns[1].Meaning, reading.Columns[1].Unit));
        if (meaning != ColumnMeaning.LeftOut)
            Assert.Equal(taken, reading.Recording!.Of(meaning)!.Values[1], 9);
    }

    [Fact]
    public void What_is_told_of_a_column_wins()
    {
        var reading = FlightRig.Read(
            "a,b,c,Voltage\n1,14000,-80,3\n2,14100,-81,3\n3,14200,-82,3\n",
            (0, new(ColumnMeaning.Time, "ms")),
            (1, new(ColumnMeaning.Voltage, "mV")),
            (2, new(ColumnMeaning.Strength))
        );
        Assert.Equal(TimeSpan.FromMilliseconds(2), reading.Recording!.End);
        Assert.Equal([14, 14.1, 14.2], reading.Recording.Of(ColumnMeaning.Voltage)!.Values.ToArray());
        Assert.Equal(("dBm", ColumnHow.Range), (reading.Columns[2].Unit, reading.Columns[2].How));
        Assert.Equal((ColumnMeaning.LeftOut, ColumnHow.Told), (reading.Columns[3].Meaning, reading.Columns[1].How));
        Assert.Contains("second column", reading.Columns[3].Remark, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_heads_a_rising_column_is_the_time_and_nothing_else_is_guessed()
    {
        var reading = FlightRig.Read("5,0,14.2\n5,1,14.1\n5,2,14.0\n5,3,14.0\n");
        Assert.Null(reading.Recording);
        Assert.Equal("No column but the time is understood: say what they mean.", reading.Problem);
        Assert.Equal(ColumnMeaning.Time, reading.Columns[1].Meaning);
        var told = FlightRig.Read("5,0,14.2\n5,1,14.1\n5,2,14.0\n5,3,14.0\n", (2, new(ColumnMeaning.Voltage)));
        Assert.Equal(4, told.Recording!.Times.Length);
    }

    // Each damage is named by its line, and the other rows are there.
    [Theory]
    [InlineData("3,13.9,1,1", 4, "has 4 cells, the others 3", 5, 0)]
    [InlineData("3", 4, "has 1 cells, the others 3", 5, 0)]
    [InlineData("soon,13.9,1", 4, "“soon” is no time", 5, 0)]
    [InlineData(",13.9,1", 4, "“” is no time", 5, 0)]
    [InlineData("3,13.9x,1", 4, "“13.9x” is no number for voltage of the pack (column 2)", 6, 1)]
    [InlineData("3,,1", 0, "", 6, 0)]
    [InlineData("3,NaN,1", 4, "“NaN” is no number", 6, 1)]
    [InlineData("3,1e999,1", 4, "“1e999” is no number", 6, 1)]
    [InlineData("0.5,13.9,1", 4, "out of line", 5, 0)]
    [InlineData("99999,13.9,1", 4, "out of line", 5, 0)]
    [InlineData("3,\"13.9,1", 4, "quote", 5, 0)]
    [InlineData("3,1\".9,\"1", 4, "quote", 5, 0)]
    [InlineData("3,\"13\".9,1", 4, "quote", 5, 0)]
    [InlineData("3,\"13.9\"\",\"1", 4, "quote", 5, 0)]
    [InlineData("3, \"13.9\" ,1", 0, "", 6, 0)]
    [InlineData("3,13.9\0,1", 4, "no text", 5, 0)]
    [InlineData("3,\"13.9\",\"1\"", 0, "", 6, 0)]
    public void A_damaged_row_is_named_and_nothing_else_is_lost(
        string row,
        int line,
        string reason,
        int rows,
        int cells
    )
    {
        var reading = FlightRig.Read($"time,pack,height\n1,14.2,0\n2,14.1,0\n{row}\n4,13.8,2\n5,13.7,3\n6,13.6,3\n");
        Assert.Equal(rows, reading.Recording!.Times.Length);
        Assert.Equal((6 - rows, cells), (reading.DamagedRows, reading.DamagedCells));
        if (line == 0)
            Assert.Empty(reading.Damages);
        else
            Assert.Equal(
                (line, true),
                (
                    Assert.Single(reading.Damages).Line,
                    reading.Damages[0].Reason.Contains(reason, StringComparison.Ordinal)
                )
            );
    }

    [Theory]
    [InlineData("", "The file is empty.")]
    [InlineData("hello\nthere\n", "There is no row of numbers.")]
    [InlineData("time,pack\n1,14\n", "A recorded flight needs two rows with times that differ.")]
    [InlineData("time,pack\n1,14\n1,13\n", "A recorded flight needs two rows with times that differ.")]
    [InlineData("pack,height\n14,1\n13,2\n14,1\n", "No column is known to be the time: say which one is.")]
    [InlineData(
        "time,pack\n0,14,1\n1,13,9\n2,13,8\n",
        "Rows have more cells than the heads, or than each other: numbers with commas, parted by commas? Write them with points, or part the cells by semicolons."
    )]
    public void What_is_no_flight_is_said(string text, string problem) =>
        Assert.Equal(problem, FlightRig.Read(text).Problem);

    [Fact]
    public void A_clock_that_jumps_is_said_and_what_follows_goes_on()
    {
        var reading = FlightRig.Read("time,pack\n0,14\n1,14\n2,14\n900000,13\n900001,13\n5,12\n6,12\n");
        Assert.Equal([0, 1, 2, 3, 4, 5, 6], reading.Recording!.Times.ToArray().Select(t => t.TotalSeconds));
        Assert.Equal(2, reading.Remarks.Count(r => r.Contains("the clock goes", StringComparison.Ordinal)));
        Assert.Empty(reading.Damages);
    }

    [Fact]
    public void A_gap_is_said()
    {
        var reading = FlightRig.Read("time,pack\n0,14\n1,14\n2,14\n63,13\n64,13\n");
        Assert.Equal(
            "Nothing was recorded for 61 s from 2 s on: no telemetry came, or the recorder stood.",
            Assert.Single(reading.Remarks)
        );
    }

    [Theory]
    [InlineData("Zeit;Spannung\n0,5;14,2\n1,0;14,1\n", 1)]
    [InlineData("# made up\ntitle\n\ntime;pack\r\n0,5;14,2\r\n1,0;14,1\r\n", 0)]
    [InlineData("time\tpack\r0,5\t14,2\r1,0\t14,1", 0)]
    public void Semicolons_tabs_decimal_commas_and_any_ends_of_lines_are_understood(string text, int told)
    {
        (int, ColumnTold)[] means = told > 0 ? [(1, new(ColumnMeaning.Voltage))] : [];
        foreach (var encoding in new Encoding[] { new UTF8Encoding(true), Encoding.Unicode, Encoding.BigEndianUnicode })
        {
            var reading = FlightRig.Read([.. encoding.GetPreamble(), .. encoding.GetBytes(text)], means);
            Assert.Equal([14.2, 14.1], reading.Recording!.Of(ColumnMeaning.Voltage)!.Values.ToArray());
            Assert.Contains("Numbers have decimal commas.", reading.Remarks);
        }
    }

    // A kept reader of RFC 4180 tables that shares nothing with ours says the same of quoted cells, empty ones and any number of columns.
    [Fact]
    public void A_kept_reader_of_tables_says_the_same() =>
        Gen.Int[1, 1_000_000]
            .Sample(
                seed =>
                {
                    var random = new Random(seed);
                    var columns = random.Next(1, 6);
                    var text = new StringBuilder("\"time, all (s)\"");
                    for (var c = 0; c < columns; c++)
                        text.Append(c == 0 ? ",\"height \"\"over\"\" start\"" : $",\"spare, {c}\"");
                    for (var row = 0; row < random.Next(2, 60); row++)
                    {
                        text.Append("\r\n").Append(Cell(random, row / 4.0));
                        for (var c = 0; c < columns; c++)
                            text.Append(',')
                                .Append(random.Next(8) == 0 ? "" : Cell(random, random.Next(-900, 900) / 8.0));
                    }

                    using var kept = new TextFieldParser(new StringReader(text.ToString()))
                    {
                        HasFieldsEnclosedInQuotes = true,
                    };
                    kept.SetDelimiters(",");
                    kept.ReadFields();
                    var expected = new List<double>();
                    while (kept.ReadFields() is { } cells)
                        expected.Add(
                            cells[1].Length > 0 ? double.Parse(cells[1], CultureInfo.InvariantCulture) : double.NaN
                        );
                    if (expected.TrueForAll(double.IsNaN))
                        return;
                    Assert.Equal(
                        expected,
                        FlightRig.Flight(text.ToString()).Of(ColumnMeaning.Height)!.Values.ToArray()
                    );
                },
                iter: Iterations.Of(100)
            );

    // Whatever becomes of a file, reading it ends with a flight or a reason, and every line is a row, a damage or a head.
    [Fact]
    public void A_file_that_was_damaged_anywhere_is_read_or_refused_and_no_row_vanishes()
    {
        var whole = Encoding.UTF8.GetBytes(InventedFlight.Csv(Demo.Wren, InventedKind.Gusts, 7)[..20_000]);
        var read = 0;
        Gen.Int[1, int.MaxValue - 1]
            .Sample(
                seed =>
                {
                    var random = new Random(seed);
                    var bytes = whole.ToList();
                    for (var i = random.Next(1, 12); i > 0; i--)
                        Damage(bytes, random);
                    var reading = FlightRig.Read([.. bytes]);
                    Assert.True(reading.Recording is null == (reading.Problem is not null));
                    if (reading.Recording is not { } flight)
                        return;
                    Interlocked.Increment(ref read);
                    for (var row = 1; row < flight.Times.Length; row++)
                        Assert.True(flight.Times[row] >= flight.Times[row - 1]);
                    var text = Encoding.UTF8.GetString([.. bytes]);
                    var lines = text.Split(["\r\n", "\n", "\r"], StringSplitOptions.None);
                    var filled = lines.Count(l => l.Trim().Length > 0 && l[0] != '#');
                    var before = reading.Remarks.FirstOrDefault(r =>
                        r.Contains("before the heads", StringComparison.Ordinal)
                    );
                    var heads =
                        before is not null ? int.Parse(before.Split(' ')[0], CultureInfo.InvariantCulture) + 1
                        : reading.Remarks.Any(r => r.Contains("no heads", StringComparison.Ordinal)) ? 0
                        : 1;
                    Assert.Equal(filled, flight.Times.Length + reading.DamagedRows + heads);
                },
                iter: Iterations.Of(200)
            );
        Assert.True(read > 100, $"{read} read");
    }

    private static void Damage(List<byte> bytes, Random random)
    {
        var at = random.Next(bytes.Count);
        switch (random.Next(4))
        {
            case 0:
                bytes[at] = (byte)"\",;\n\0x-9"[random.Next(8)];
                break;
            case 1:
                bytes.RemoveRange(at, Math.Min(random.Next(1, 200), bytes.Count - at));
                break;
            case 2:
                bytes.InsertRange(at, bytes[..Math.Min(random.Next(1, 300), bytes.Count)]);
                break;
            default:
                bytes[at] ^= (byte)(1 << random.Next(7));
                break;
        }
    }

    private static string Cell(Random random, double number)
    {
        var text = number.ToString(CultureInfo.InvariantCulture);
        return random.Next(3) == 0 ? $"\"{text}\"" : text;
    }
}
