using System.Diagnostics;
using System.Globalization;
using System.Text;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Invented;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Benchmarks;

/// <summary>How long it takes to read recorded flights, to run a model over them, and to try all levels and times of an alarm.</summary>
internal static class FlightFigures
{
    private const int Hour = 3600;
    private const int Rate = 50;

    /// <summary>Prints everything.</summary>
    public static void Print()
    {
        var setup = Craft();
        var alarm = Alarm.Of(setup).First(a => a.OfBattery);
        // The first of each pays for the compiler.
        Work(setup, alarm, Read(Table(20 * Rate)));
        for (var i = 0; i < 3; i++)
            Reading(1_000_000);
        var flight = Read(Table(Hour * Rate));
        for (var i = 0; i < 3; i++)
            Work(setup, alarm, flight);
    }

    private static void Work(Setup setup, Alarm alarm, FlightRecording flight)
    {
        foreach (var way in new[] { HearingWay.AtCraft, HearingWay.AtTransmitter })
        {
            var clock = Stopwatch.StartNew();
            var replay = FlightReplay.Run(setup, flight, [alarm.Id], way, CancellationToken.None);
            var replayed = clock.Elapsed;
            var wish = JudgeWish.Usual(setup, alarm);
            clock.Restart();
            var map = AlarmMap.Of(
                setup,
                alarm,
                [flight],
                wish,
                AlarmGrid.Of(setup, alarm),
                way,
                null,
                CancellationToken.None
            );
            Say(
                $"{flight.End.TotalMinutes:0} min of {flight.Times.Length:N0} rows, {way}, {setup.Model.Conditions.Count} conditions: replayed in {replayed.TotalMilliseconds:0} ms ({replay.Said.Count + replay.NotKept} said), map {map.Grid.Levels.Count} x {map.Grid.Waits.Count} in {clock.Elapsed.TotalSeconds:0.00} s"
            );
        }
    }

    private static void Reading(int rows)
    {
        var bytes = Table(rows);
        var clock = Stopwatch.StartNew();
        var flight = Read(bytes);
        Say(
            $"{rows:N0} rows of {flight.Series.Count + 1} columns, {bytes.Length / 1e6:0} MB: read in {clock.Elapsed.TotalSeconds:0.00} s, {flight.Weight >> 20} MB kept, process {Process.GetCurrentProcess().PeakWorkingSet64 >> 20} MB at its peak"
        );
    }

    private static FlightRecording Read(byte[] table)
    {
        using var stream = new MemoryStream(table);
        return FlightFile.Read(stream, new Dictionary<int, ColumnTold>(), null, CancellationToken.None).Recording!;
    }

    // The rows of invented flights one after the other, with times of their own.
    private static byte[] Table(int rows)
    {
        var setup = Craft();
        var text = new StringBuilder();
        var cells = new List<string>();
        for (ulong seed = 1; cells.Count < Math.Min(rows, 60_000); seed++)
            cells.AddRange(
                InventedFlight
                    .Csv(setup, InventedKind.Gusts, seed)
                    .Split("\r\n", StringSplitOptions.RemoveEmptyEntries)
                    .Skip(2)
                    .Select(l => l[(l.IndexOf(',', StringComparison.Ordinal) + 1)..])
            );
        text.Append(InventedFlight.Csv(setup, InventedKind.Gusts, 1).Split("\r\n")[1]).Append("\r\n");
        for (var row = 0; row < rows; row++)
            text.Append(CultureInfo.InvariantCulture, $"{row / (double)Rate:0.00},{cells[row % cells.Count]}\r\n");
        return Encoding.ASCII.GetBytes(text.ToString());
    }

    // A demo craft with twelve conditions: alarms that are spoken, and limits of every sensor.
    private static Setup Craft()
    {
        var setup = SetupJson.Read(File.ReadAllBytes("demo/sandpiper.json")).Setup!;
        var made = setup.Model;
        var sensors = made.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal).ToArray();
        for (var i = 0; made.Conditions.Count < 12; i++)
        {
            var (id, sensor) = sensors[i % sensors.Length];
            var limit = new Reading(
                sensor.Lowest.Value + ((sensor.Highest - sensor.Lowest).Value * (0.3 + (0.05 * i)))
            );
            Test low = new SensorTest
            {
                Sensor = id,
                Relation = Relation.Below,
                Limit = limit,
            };
            made = made with
            {
                Conditions = made.Conditions.Add(
                    $"more-{i}",
                    new Condition
                    {
                        Label = $"More {i}",
                        Test = new DelayTest { Of = [low], OnAfter = new(1000) },
                    }
                ),
                Announcements = made.Announcements.Add(
                    $"more-{i}",
                    new Announcement
                    {
                        Says = $"More {i}",
                        About = AnnouncementSubject.Other,
                        When = $"more-{i}",
                        Every = new(10_000),
                    }
                ),
            };
        }

        return setup with
        {
            Model = made,
        };
    }

    private static void Say(FormattableString line) => Console.WriteLine(line.ToString(CultureInfo.InvariantCulture));
}
