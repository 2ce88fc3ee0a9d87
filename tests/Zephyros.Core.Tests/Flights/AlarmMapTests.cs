using CsCheck;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Invented;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Flights;

/// <summary>The map of levels and times: each place against the model itself and against a plain loop over the rows, and the place that is
/// recommended on flights that it has not seen.</summary>
public sealed class AlarmMapTests
{
    // A transmitter looks at its model every ten milliseconds.
    private const double Slack = 0.0101;

    private static readonly Setup Wren = Demo
        .Wren.WithBoard(b =>
            b with
            {
                Equipment = new() { Divider = true, CurrentSensor = true },
            }
        )
        .ReadyMade("battery-alarm", ("level", "3.35"), ("wait", "0"), ("release", "0.05"));

    private static Alarm Battery(Setup setup) => Alarm.Of(setup).Single(a => a.Id == "battery-low");

    // 720 places on random flights: what the map judged is what the edited model does when the flight runs through it.
    [Fact]
    public void Each_place_does_what_the_edited_model_does()
    {
        var held = 0;
        Gen.Select(Gen.Int[1, 100_000], Gen.Enum<InventedKind>(), Gen.Bool)
            .Sample(
                (seed, kind, atCraft) =>
                {
                    var random = new Random(seed);
                    var setup = random.Next(3) == 0 ? Plain(random) : Wren;
                    var flight = FlightRig.Invented(setup, kind, (ulong)seed);
                    var alarm = Battery(setup);
                    var way = atCraft ? HearingWay.AtCraft : HearingWay.AtTransmitter;
                    var grid = AlarmGrid.Of(setup, alarm);
                    var level = grid.Levels[random.Next(grid.Levels.Count)];
                    var survey = new AlarmSurvey(setup, alarm, grid);
                    foreach (var (wait, tried) in grid.Waits.Zip(survey.Held(flight, way, level)))
                    {
                        var edited = alarm.With(setup, level, wait);
                        var replay = FlightReplay.Run(edited, flight, [alarm.Id], way, CancellationToken.None);
                        Same(replay.Held[alarm.Id], tried);
                        Interlocked.Add(ref held, tried.Count);
                    }
                },
                iter: Iterations.Of(12)
            );
        Assert.True(held > 100, $"{held} times held");
    }

    // A plain loop over the rows that the transmitter heard, which knows nothing of conditions.
    [Fact]
    public void Each_place_does_what_a_plain_loop_over_the_rows_says()
    {
        var held = 0;
        Gen.Select(Gen.Int[1, 100_000], Gen.Enum<InventedKind>())
            .Sample(
                (seed, kind) =>
                {
                    var random = new Random(seed);
                    var flight = FlightRig.Invented(Wren, kind, (ulong)seed);
                    var alarm = Battery(Wren);
                    var grid = AlarmGrid.Of(Wren, alarm);
                    var level = grid.Levels[random.Next(grid.Levels.Count)];
                    var survey = new AlarmSurvey(Wren, alarm, grid);
                    foreach (var (wait, tried) in grid.Waits.Zip(survey.Held(flight, HearingWay.AtTransmitter, level)))
                    {
                        Same(Loop(flight, level.Value, Math.Round(level.Value + 0.2, 2), wait.Value / 1000), tried);
                        Interlocked.Add(ref held, tried.Count);
                    }
                },
                iter: Iterations.Of(12)
            );
        Assert.True(held > 100, $"{held} times held");
    }

    // The recommended place is found on three flights, and does better than the level set by hand on others of the same kinds.
    [Fact]
    public void The_recommended_place_does_better_on_flights_that_it_has_not_seen()
    {
        var alarm = Battery(Wren);
        var wish = JudgeWish.Usual(Wren, alarm);
        FlightRecording[] seen = [.. Enum.GetValues<InventedKind>().Select(k => FlightRig.Invented(Wren, k, 1))];
        var map = AlarmMap.Of(
            Wren,
            alarm,
            seen,
            wish,
            AlarmGrid.Of(Wren, alarm),
            HearingWay.ByRows,
            null,
            TestContext.Current.CancellationToken
        );
        var best = alarm.With(Wren, map.Grid.Levels[map.Best.Level], map.Grid.Waits[map.Best.Wait]);
        var (byHand, tuned) = (default(AlarmCell), default(AlarmCell));
        for (var seed = 100; seed < 100 + Iterations.Of(10); seed++)
            foreach (var kind in Enum.GetValues<InventedKind>())
            {
                var flight = FlightRig.Invented(Wren, kind, (ulong)seed);
                byHand = byHand.With(Score(Wren, flight, wish));
                tuned = tuned.With(Score(best, flight, wish));
            }

        Core.Tests.Score.Tell($"alarms on unseen flights: by hand {byHand}, recommended {tuned}");
        Assert.True(
            tuned.False < byHand.False && tuned.Lead >= byHand.Lead && tuned.Missed <= byHand.Missed,
            $"{byHand} {tuned}"
        );
        Assert.True(tuned.False * 10 < byHand.False, $"{byHand} {tuned}");
    }

    // Nothing leaves ten minutes on a flight of three: then the most that can be left counts, and not that nothing is cried.
    [Fact]
    public void Where_no_place_leaves_enough_the_one_that_leaves_most_is_recommended()
    {
        var map = Map(Wren, new JudgeWish(new(13.2), new(10_000), new(600_000)), InventedKind.Gusts);
        var all = Enumerable.Range(0, 40).SelectMany(l => Enumerable.Range(0, 20).Select(w => map[l, w])).ToArray();
        Assert.Equal(all.Max(c => c.Lead), map[map.Best.Level, map.Best.Wait].Lead);
        Assert.Equal("No place leaves 600 s on every flight; this one leaves most.", map.Why);
    }

    [Fact]
    public void A_flight_without_a_critical_moment_is_no_proof_of_a_lead()
    {
        // Nobody is critical below a volt.
        var wish = new JudgeWish(new(1), new(10_000), new(30_000));
        Assert.StartsWith(
            "On no flight came the critical moment",
            Map(Wren, wish, InventedKind.Gusts).Why,
            StringComparison.Ordinal
        );
        // Of two flights one comes that low.
        var low = new JudgeWish(new(13.2), new(10_000), new(10_000));
        FlightRecording[] flights =
        [
            FlightRig.Invented(Wren, InventedKind.Fade, 1),
            FlightRig.Flight("time,pack\n0,16\n1,16\n200,15.9\n201,15.9\n"),
        ];
        var map = AlarmMap.Of(
            Wren,
            Battery(Wren),
            flights,
            low,
            AlarmGrid.Of(Wren, Battery(Wren)),
            HearingWay.ByRows,
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Contains("on 1 of 2 flights (the others had no critical moment)", map.Why, StringComparison.Ordinal);
    }

    private static AlarmMap Map(Setup setup, JudgeWish wish, InventedKind kind) =>
        AlarmMap.Of(
            setup,
            Battery(setup),
            [FlightRig.Invented(setup, kind, 1)],
            wish,
            AlarmGrid.Of(setup, Battery(setup)),
            HearingWay.ByRows,
            null,
            TestContext.Current.CancellationToken
        );

    private static AlarmScore Score(Setup setup, FlightRecording flight, JudgeWish wish)
    {
        var alarm = Battery(setup);
        var held = FlightReplay.Run(setup, flight, [alarm.Id], HearingWay.ByRows, CancellationToken.None).Held[
            alarm.Id
        ];
        return new FlightCourse(setup, flight, alarm, wish).Score(held);
    }

    // Alarms as pilots build them: bare, with a delay that has an end of its own, latched without one.
    private static Setup Plain(Random random)
    {
        var low = new Core.Model.Logic.SensorTest
        {
            Sensor = "voltage",
            Relation = Core.Model.Logic.Relation.Below,
            Limit = new(13.6),
        };
        var high = low with { Relation = Core.Model.Logic.Relation.Above, Limit = new(13.9) };
        Core.Model.Logic.Test test = random.Next(3) switch
        {
            0 => low,
            1 => new Core.Model.Logic.DelayTest
            {
                Of = [low],
                OnAfter = new(700),
                OffAfter = new(1500),
            },
            _ => new Core.Model.Logic.LatchTest { Set = [low], Clear = [high] },
        };
        return Wren.InModel(m =>
            m with
            {
                Conditions = m.Conditions.SetItem("battery-low", m.Conditions["battery-low"] with { Test = test }),
            }
        );
    }

    private static void Same(IReadOnlyList<Holding> expected, IReadOnlyList<Holding> found)
    {
        var words = $"expected {string.Join(", ", expected)}; found {string.Join(", ", found)}";
        Assert.True(expected.Count == found.Count, words);
        foreach (var (one, other) in expected.Zip(found))
            Assert.True(
                one.How == other.How
                    && Math.Abs((one.From - other.From).TotalSeconds) < Slack
                    && Math.Abs((one.To - other.To).TotalSeconds) < Slack,
                words
            );
    }

    private static List<Holding> Loop(FlightRecording flight, double level, double over, double wait)
    {
        var volts = flight.Of(ColumnMeaning.Voltage)!.Values;
        var held = new List<Holding>();
        double? low = null;
        double? on = null;
        for (var row = 0; row < volts.Length; row++)
        {
            var at = flight.Times[row].TotalSeconds;
            // What became due since the row before.
            if (on is null && low is { } since && since + wait <= at + 1e-9 && since + wait > 0)
                on = since + wait;
            var reading = volts[row];
            if (on is { } from && reading > over)
            {
                held.Add(new(TimeSpan.FromSeconds(from), TimeSpan.FromSeconds(at), HoldingEnd.ByItself));
                on = null;
            }

            low = reading > 6 && reading < level ? low ?? at : null;
            if (on is null && low == at && wait <= 0)
                on = at;
        }

        if (on is { } still)
            held.Add(new(TimeSpan.FromSeconds(still), flight.End, HoldingEnd.Over));
        return held;
    }
}
