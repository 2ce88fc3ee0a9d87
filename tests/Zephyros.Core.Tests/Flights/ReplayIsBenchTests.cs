using System.Collections.Immutable;
using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Flights;

/// <summary>The same history on the bench and as a recording: the same words at the same times, for random models and random flights.</summary>
public sealed class ReplayIsBenchTests
{
    // Telemetry comes at whole tenths of a second, rows were taken shortly before, and what waits in a model ends some hundredths after a
    // whole tenth: nothing falls together, so that the ten milliseconds between two looks at a model cannot turn the order round.
    private const int Tenth = 100;
    private const int Before = 3;
    private const int Odd = 20;
    private const int MostDelays = 3;

    private static readonly TimeSpan Slack = BenchTransmitter.ModelPeriod * MostDelays;

    private static readonly (string Sensor, ColumnMeaning Meaning, double Low, double High, double Step)[] Recorded =
    [
        ("voltage", ColumnMeaning.Voltage, 0, 26, 0.01),
        ("current", ColumnMeaning.Current, 0, 120, 0.1),
        ("used", ColumnMeaning.ChargeUsed, 0, 5000, 1),
        ("quality", ColumnMeaning.LinkQuality, 0, 100, 1),
        ("distance", ColumnMeaning.Distance, 0, 3000, 1),
        ("height", ColumnMeaning.Height, -50, 500, 1),
    ];

    [Fact]
    public void A_flight_says_what_the_bench_says()
    {
        var (flights, spoken, missed) = (0, 0, 0);
        Gen.Int[1, int.MaxValue - 1]
            .Sample(
                seed =>
                {
                    var random = new Random(seed);
                    // A voice that takes its time is asked only of models that do not wait: between two looks at a model the order of what
                    // falls due could turn round.
                    var takesTime = random.Next(2) == 0;
                    if (Speaking(new RandomModels(seed).Make(), random, waits: !takesTime) is not { } setup)
                        return;
                    if (!takesTime)
                        setup = setup.WithQuickVoice();
                    var flight = Flight(random);
                    var expected = OnBench(setup, flight);
                    var replay = FlightReplay.Run(setup, flight, [], HearingWay.AtCraft, CancellationToken.None);
                    Same(expected, replay.Said);
                    Interlocked.Increment(ref flights);
                    Interlocked.Add(ref spoken, expected.Count);
                    Interlocked.Add(ref missed, expected.Count(s => s.Text == "Lost"));
                },
                iter: Iterations.Of(60)
            );
        Score.Tell($"replay: {flights} flights spoke as on the bench, {spoken} times, telemetry missed {missed} times");
        Assert.True(flights > 20 && spoken > 100 * flights / 20 && missed > 0, $"{flights}, {spoken}, {missed}");
    }

    private static void Same(List<FlightSaying> expected, IReadOnlyList<FlightSaying> said)
    {
        for (var i = 0; i < Math.Max(expected.Count, said.Count); i++)
        {
            var (bench, replay) = (expected.ElementAtOrDefault(i), said.ElementAtOrDefault(i));
            Assert.True(
                bench?.Text == replay?.Text && (bench!.At - replay!.At).Duration() <= Slack,
                $"{i}: bench {string.Join("; ", expected.Skip(i - 2).Take(5))}\nreplay {string.Join("; ", said.Skip(i - 2).Take(5))}"
            );
        }
    }

    // Every condition speaks, and so does lost telemetry; null for a model with a ring, whose values depend on how often it is worked out,
    // and for one in which more delays follow on each other than the times allow for.
    private static Setup? Speaking(Setup setup, Random random, bool waits)
    {
        var model = setup.Model;
        model = model with
        {
            Channels = model.Channels.ToImmutableDictionary(
                c => c.Key,
                c =>
                    c.Value with
                    {
                        Steps = c.Value.Steps.RemoveRange(
                            c.Value.Steps.Where(s => s.Value is SlowStep).Select(s => s.Key)
                        ),
                    }
            ),
            Conditions = model.Conditions.ToImmutableDictionary(
                c => c.Key,
                c => c.Value with { Test = TestTrees.Rebuild(c.Value.Test, (_, now) => Shifted(now, waits)) }
            ),
        };
        var graph = ModelGraph.Of(model);
        var delays = Delays(model, graph);
        if (graph.Cycles.Any() || delays.Values.Max() > MostDelays)
            return null;
        var announcements = model.Conditions.Keys.ToImmutableDictionary(
            id => id,
            id => new Announcement
            {
                Says = id,
                About = AnnouncementSubject.Other,
                When = id,
                // What waited ends some hundredths after a tenth, as what is said again would be.
                Every =
                    delays[new(NodeKind.Condition, id)] == 0 && random.Next(2) == 0
                        ? new Milliseconds(1000 * random.Next(1, 9))
                        : null,
                Value =
                    random.Next(2) == 0
                        ? new SpokenValue
                        {
                            Sensor = Recorded[random.Next(Recorded.Length)].Sensor,
                            Reading = (SpokenReading)random.Next(3),
                        }
                        : null,
            }
        );
        return setup with
        {
            Model = model with
            {
                Announcements = announcements
                    .Add("lost", new Announcement { Says = "Lost", About = AnnouncementSubject.SignalLost })
                    .Add("back", new Announcement { Says = "Back", About = AnnouncementSubject.SignalBack }),
            },
            Air = setup.Air with { Telemetry = random.Next(20) > 0, TelemetryEvery = 10, PacketRate = new(100) },
            // Without a switch that arms, no control moves at the first moment.
            Board = setup.Board with
            {
                Functions = setup.Board.Functions.Clear(),
                Equipment = new BoardEquipment
                {
                    Divider = true,
                    CurrentSensor = true,
                    Barometer = true,
                    PositionReceiver = true,
                },
            },
        };
    }

    private static Test Shifted(Test test, bool waits) =>
        test is not DelayTest delay ? test
        : !waits ? new AllTest { Of = delay.Of }
        : delay with { OnAfter = Shifted(delay.OnAfter), OffAfter = Shifted(delay.OffAfter) };

    private static Milliseconds Shifted(Milliseconds time) =>
        time.Value > 0 ? new Milliseconds((Math.Floor(time.Value / Tenth) * Tenth) + Odd) : time;

    // How many delays follow on each other up to each part of the model.
    private static Dictionary<ModelNode, int> Delays(TransmitterModel model, ModelGraph graph)
    {
        var deepest = new Dictionary<ModelNode, int>();
        foreach (var node in graph.Order)
            deepest[node] =
                graph.UsedBy(node).Select(u => deepest.GetValueOrDefault(u)).DefaultIfEmpty().Max()
                + (node.Kind == NodeKind.Condition ? Delays(model.Conditions[node.Id].Test) : 0);
        return deepest;
    }

    private static int Delays(Test test) =>
        (test is DelayTest ? 1 : 0) + test.Parts.Select(Delays).DefaultIfEmpty().Max();

    private static FlightRecording Flight(Random random)
    {
        var times = new List<TimeSpan>();
        var series = Recorded.Select(_ => new List<double>()).ToArray();
        var throttle = new List<double>();
        var at = Tenth - Before;
        for (var row = 0; row < 250; row++)
        {
            times.Add(TimeSpan.FromMilliseconds(at));
            for (var i = 0; i < series.Length; i++)
            {
                var (_, _, low, high, step) = Recorded[i];
                var stays = row > 0 && random.Next(4) > 0;
                series[i]
                    .Add(
                        stays
                            ? series[i][^1]
                            : Math.Round(low + (Math.Floor(random.NextDouble() * (high - low) / step) * step), 2)
                    );
            }

            throttle.Add(row > 0 && random.Next(6) > 0 ? throttle[^1] : random.Next(101));
            at += Tenth * (random.Next(25) == 0 ? random.Next(20, 60) : random.Next(1, 4));
        }

        // The first row of a recording is at zero.
        times[0] = TimeSpan.Zero;
        return new FlightRecording(
            [.. times],
            [
                .. Recorded.Select(
                    (r, i) => new FlightSeries(r.Meaning, ColumnUnits.Of(r.Meaning)[0].Symbol, [.. series[i]])
                ),
                new FlightSeries(ColumnMeaning.Throttle, "%", [.. throttle]),
            ]
        );
    }

    private static List<FlightSaying> OnBench(Setup setup, FlightRecording flight)
    {
        var bench = new BenchRun(setup);
        var (said, read) = (new List<FlightSaying>(), 0L);
        for (var row = 0; row < flight.Times.Length; row++)
        {
            // Where nothing was recorded nothing comes.
            if (row > 0 && flight.Times[row] - flight.Times[row - 1] > flight.Gap)
            {
                bench.AdvanceTo(flight.Times[row - 1] + flight.Gap);
                bench.SetTelemetry(false);
            }

            bench.AdvanceTo(flight.Times[row]);
            bench.SetTelemetry(true);
            for (var i = 0; i < Recorded.Length; i++)
                bench.Report(Recorded[i].Sensor, new Reading(flight.Series[i].Values[row]));
            bench.Move("throttle", (2 * flight.Series[^1].Values[row]) - 100);
            // What falls due at this very moment, as the second of two things that are said, is due with the last row too.
            bench.AdvanceTo(flight.Times[row]);
            // The log keeps no more than its last entries.
            foreach (var entry in bench.Log.After(read))
                if (entry.Kind == LogKind.Said)
                    said.Add(new FlightSaying(TimeSpan.FromMilliseconds(entry.At.Value), entry.Text));
            read = bench.Log.Count;
        }

        return said;
    }
}
