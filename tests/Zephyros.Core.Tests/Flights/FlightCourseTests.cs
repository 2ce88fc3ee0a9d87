using MathNet.Numerics.Statistics;
using Zephyros.Core.Craft;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Flights;

/// <summary>What an alarm that held was worth, on flights of which all is known: four cells, a row each second for five minutes, ten amperes
/// and bursts of thirty.</summary>
public sealed class FlightCourseTests
{
    private const int Rows = 301;

    private static readonly Setup Wren = (
        Demo.Wren with
        {
            Craft = Demo.Wren.Craft with { Battery = Demo.Wren.Craft.Battery! with { Capacity = new(1000) } },
        }
    ).ReadyMade("battery-alarm", ("level", "3.4"));

    private static readonly Alarm Battery = Alarm.Of(Wren).Single(a => a.Id == "battery-low");

    private static readonly JudgeWish Wish = new(new(13.2), new(10_000), new(30_000));

    // From, to, how it ended: false or not. Bursts are at 60, 120, 180 and 240 s, for two seconds; the pack is critical from 280 s on.
    [Theory]
    [InlineData(181, 184, HoldingEnd.ByItself, true, "false: withdrawn as the load came down with 4")]
    [InlineData(181, 191.9, HoldingEnd.ByItself, true, "false: withdrawn")]
    [InlineData(181, 193, HoldingEnd.ByItself, false, "is withdrawn")]
    [InlineData(200, 205, HoldingEnd.ByItself, false, "is withdrawn")]
    [InlineData(181, 184, HoldingEnd.TelemetryMissed, false, "ends as telemetry is missed")]
    [InlineData(240, 300, HoldingEnd.Over, false, "stands 45 s before it is critical (below 13.2 V)")]
    [InlineData(120, 300, HoldingEnd.Over, true, "false: begins with 66 % left")]
    [InlineData(290, 294, HoldingEnd.ByItself, false, "is withdrawn")]
    public void An_alarm_is_false_when_it_is_withdrawn_after_the_load_or_begins_long_before(
        double from,
        double to,
        HoldingEnd how,
        bool isFalse,
        string why
    )
    {
        var judged = Assert.Single(Course().Judge([Held(from, to, how)]));
        Assert.Equal(isFalse, judged.False);
        Assert.StartsWith(why, judged.Why, StringComparison.Ordinal);
        Assert.Equal(isFalse ? 1 : 0, Course().Score([Held(from, to, how)]).False);
    }

    [Theory]
    [InlineData(
        250,
        300,
        35.0,
        true,
        "No false alarm; it stood 35 s before the critical moment (below 13.2 V), and 30 s are wanted."
    )]
    [InlineData(
        256,
        300,
        29.0,
        false,
        "No false alarm, and too late: it stood 29 s before the critical moment (below 13.2 V), and 30 s are wanted."
    )]
    [InlineData(
        287,
        300,
        null,
        false,
        "No false alarm, and missed: it came 2 s after the critical moment (below 13.2 V)."
    )]
    [InlineData(
        181,
        184,
        null,
        false,
        "One false alarm, and missed: none stood at the critical moment (below 13.2 V)."
    )]
    public void The_lead_is_from_the_alarm_that_stands_to_the_critical_moment(
        double from,
        double to,
        double? lead,
        bool enough,
        string words
    )
    {
        Holding[] held = [Held(from, to, to < 300 ? HoldingEnd.ByItself : HoldingEnd.Over)];
        var score = Course().Score(held);
        // Five seconds without an end after 280 s.
        Assert.Equal(TimeSpan.FromSeconds(285), score.Critical);
        Assert.Equal((lead, lead is null), (score.Lead?.TotalSeconds, score.Missed));
        Assert.Equal((enough, words), (Course().IsEnough(score), Course().Words(score, held)));
    }

    // 10 A for a second are 2.78 mAh. Home takes 100 m / (10 - 5 m/s) + 20 m / 2 m/s + 30 s = 60 s at 12 A, 200 mAh of 1000.
    [Fact]
    public void No_more_charge_than_the_way_home_takes_is_critical_whatever_the_voltage()
    {
        var home = Wren with
        {
            Craft = Wren.Craft with
            {
                WayHome = new WayHome
                {
                    Distance = new(100),
                    Speed = new(10),
                    Wind = new(5),
                    Height = new(20),
                    Descent = new(2),
                    Reserve = new(30_000),
                    Current = new(12),
                },
            },
        };
        var course = new FlightCourse(home, Flight(), Battery, Wish);
        // 800 mAh are 288 s of 10 A; four bursts of two seconds with 20 A more than that count for 16 s.
        Assert.Equal(
            (272, "no more left than the way home takes"),
            (course.Critical!.Value.TotalSeconds, course.CriticalWhy)
        );
        Assert.Equal(0.2, course.LeftAt(course.Critical.Value)!.Value, 2);
        var charged = new FlightCourse(home, Flight(ColumnMeaning.ChargeUsed), Battery, Wish);
        Assert.Equal(course.Critical, charged.Critical);
    }

    [Fact]
    public void What_cannot_be_judged_is_said()
    {
        Assert.Equal(["The way home is not written down: the critical moment is one of the voltage."], Course().Blind);
        var other = Demo.Sandpiper.ReadyMade("battery-alarm", ("level", "3.4"));
        var six = new FlightCourse(other, Flight(), Alarm.Of(other).First(a => a.OfBattery), Wish);
        Assert.Equal(
            "The pack of the recording reaches 14.5 V, and a full one of this craft has 25.2 V: it may be another craft's.",
            six.Blind.First()
        );
        var bare = new FlightCourse(
            Wren,
            new FlightRecording([.. Times()], [Flight().Of(ColumnMeaning.Voltage)!]),
            Battery,
            Wish
        );
        Assert.Equal(2, bare.Blind.Count());
        Assert.True(Assert.Single(bare.Judge([Held(200, 205, HoldingEnd.ByItself)])).False);
    }

    [Fact]
    public void The_usual_step_is_the_median_as_a_numeric_library_has_it()
    {
        var random = new Random(5);
        var times = new List<TimeSpan> { TimeSpan.Zero };
        for (var i = 0; i < 500; i++)
            times.Add(times[^1] + TimeSpan.FromMilliseconds(random.Next(1, 900)));
        var steps = times.Zip(times.Skip(1), (one, next) => (next - one).TotalMilliseconds);
        var flight = new FlightRecording([.. times], []);
        Assert.Equal(steps.Median(), flight.Step.TotalMilliseconds, 2.0);
    }

    private static FlightCourse Course() => new(Wren, Flight(), Battery, Wish);

    private static Holding Held(double from, double to, HoldingEnd how) =>
        new(TimeSpan.FromSeconds(from), TimeSpan.FromSeconds(to), how);

    private static IEnumerable<TimeSpan> Times() => Enumerable.Range(0, Rows).Select(i => TimeSpan.FromSeconds(i));

    private static FlightRecording Flight(ColumnMeaning load = ColumnMeaning.Current)
    {
        double[] current = [.. Enumerable.Range(0, Rows).Select(i => i % 60 < 2 && i is >= 60 and < 260 ? 30.0 : 10)];
        var used = new double[Rows];
        for (var i = 1; i < Rows; i++)
            used[i] = used[i - 1] + (current[i - 1] / 3.6);
        double[] volts =
        [
            .. current.Select(
                (a, i) =>
                    i >= 280 ? 13.0
                    : a > 20 ? 13.1
                    : 14.5
            ),
        ];
        return new FlightRecording(
            [.. Times()],
            [
                new FlightSeries(ColumnMeaning.Voltage, "V", volts),
                load == ColumnMeaning.Current
                    ? new FlightSeries(load, "A", current)
                    : new FlightSeries(load, "mAh", used),
            ]
        );
    }
}
