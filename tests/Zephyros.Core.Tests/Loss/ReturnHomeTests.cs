using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Findings;
using Zephyros.Core.Loss;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>A board that flies home: how long that takes, and where the craft can come down on the way.</summary>
public sealed class ReturnHomeTests
{
    private static readonly ReturnSettings Home = new()
    {
        Height = new(60),
        Climb = new(2),
        Speed = new(8),
        NotWithin = new(25),
    };

    private static readonly FlightAtLoss Flight = new()
    {
        Speed = new(10),
        Height = new(40),
        Wind = new(3),
        FallsAt = new(18),
        Pilot = new(90),
    };

    [Fact]
    public void Up_home_against_the_wind_and_down_by_hand()
    {
        var timeline = Seen(Home, Flight);
        var begins = 300 + Demo.Plain.Board.SignalTimeout.Value;
        // 20 m at 2 m/s; 90 m and what it flew on at 10 m/s, at 8 - 3 m/s; 60 m at 2 m/s.
        var turns = begins + 10_000;
        var home = turns + ((90 + (begins / 1000 * 10)) / 5 * 1000);
        Assert.Equal(turns, Latest(timeline, LossMarkKind.TurnsHome), 3);
        Assert.Equal(home, Latest(timeline, LossMarkKind.Home), 1);
        Assert.Equal(home + 30_000, Latest(timeline, LossMarkKind.Touchdown), 1);
        Assert.Equal(90, timeline.Footprint.Likely!.Value.Value, 6);
        Assert.Equal(2, timeline.Footprint.Impact!.Value.Value);
        var way = WayBack.Of(Demo.Plain.Craft, Home, Flight, new(90 + (begins / 1000 * 10)));
        Assert.Equal(home + 30_000 - begins, way.Takes!.Value.TotalMilliseconds, 1);
    }

    // The charge by hand: the current of the way home, for so many hours.
    [Fact]
    public void What_the_way_home_takes_out_of_the_battery()
    {
        var craft = Demo.Plain.Craft with
        {
            Cells = 4,
            Battery = new FlightBattery { Capacity = new(1000), FullCurrent = new(80) },
            WayHome = new WayHome
            {
                Distance = new(100),
                Speed = new(10),
                Current = new(12),
            },
        };
        var way = WayBack.Of(craft, Home, Flight, new(300));
        Assert.Equal(100, way.Takes!.Value.TotalSeconds, 6);
        Assert.Equal(12.0 * 1000 * 100 / 3600, way.Needs!.Value.Value, 6);
        Assert.Equal(100 * 12.0 / 36, way.Share!.Value.Value, 6);
        Assert.Null(WayBack.Of(craft, Home, Flight with { Wind = new(8) }, new(300)).Takes);
    }

    [Fact]
    public void Too_near_it_comes_down_where_it_is_and_against_too_much_wind_it_never_does()
    {
        var near = Seen(Home, Flight with { Pilot = new(15) });
        Assert.False(near.Fix);
        Assert.DoesNotContain(near.Marks, m => m.Kind is LossMarkKind.Home);
        Assert.Contains(near.Course, p => p.Leg == LegKind.Landing);
        var windy = Seen(Home, Flight with { Wind = new(8) });
        Assert.Null(windy.Footprint.Rest);
        Assert.True(windy.Footprint.Struck);
        var unknown = Seen(Home, Flight with { Pilot = null });
        Assert.Null(unknown.Footprint.Rest);
    }

    // Random flights in a random wind, in plain small steps; the fix fails at a random time, or never. Home lies in any direction.
    [Fact]
    public void Wherever_the_fix_fails_it_comes_down_in_the_circle()
    {
        var random = new Random(260);
        var failed = 0;
        for (var i = 0; i < Iterations.Of(80); i++)
        {
            var settings = new ReturnSettings
            {
                Height = new(random.Next(0, 90)),
                Climb = new(random.Next(1, 6)),
                Speed = new(random.Next(2, 20)),
                NotWithin = default,
            };
            var flight = new FlightAtLoss
            {
                Speed = new(random.Next(0, 40)),
                Height = new(random.Next(1, 120)),
                Wind = new(random.Next(0, (int)settings.Speed.Value)),
                Climb = new(random.Next(2) * random.Next(-10, 20)),
                Descent = new(random.Next(1, 5)),
                FallsAt = random.Next(3) == 0 ? null : new(random.Next(5, 40)),
                Pilot = new(random.Next(0, 400)),
            };
            var lands = new Milliseconds(random.Next(100, 20_000));
            var timeline = Seen(settings, flight, lands);
            var begins = timeline.Marks.Single(m => m.Kind == LossMarkKind.Procedure).Earliest.Value / 1000;
            var fails = random.Next(4) == 0 ? double.MaxValue : begins + (random.NextDouble() * 90);
            var (walked, without) = new Walk(settings, flight, lands.Value / 1000, random).Down(begins, fails);
            failed += without ? 1 : 0;
            Assert.InRange(walked, 0, timeline.Footprint.Reach!.Value.Value + 0.3);
        }

        Assert.True(failed > 10);
    }

    // The rule reckons before anything is played; where the played loss ends on the way, it has said so.
    [Fact]
    public void What_the_rule_finds_is_what_the_played_loss_comes_to()
    {
        var random = new Random(313);
        var (tooFar, enough) = (0, 0);
        foreach (var grace in new[] { 0, 4000 })
        {
            var setup = Homeward(Home, grace: new(grace));
            setup = setup with
            {
                Craft = setup.Craft with
                {
                    Battery = new FlightBattery { Capacity = new(1300), FullCurrent = new(90) },
                },
            };
            var played = LossPlay.Of(setup, new Percent(0), fix: true)!;
            for (var i = 0; i < 100; i++)
            {
                var flight = Flight with
                {
                    Speed = new(random.Next(5, 40)),
                    Pilot = new(random.Next(100, 1200)),
                    Climb = new(random.Next(2) * random.Next(-3, 10)),
                };
                var found = Examination
                    .Of(setup with { Craft = setup.Craft with { AtLoss = flight } })
                    .SingleOrDefault(f => f.Key == "return-beyond-battery");
                var ends = played
                    .With(flight)
                    .Footprint.Words.Any(w => w.Contains("more than a full battery", StringComparison.Ordinal));
                Assert.Equal(ends, found is not null);
                (tooFar, enough) = ends ? (tooFar + 1, enough) : (tooFar, enough + 1);
            }
        }

        Assert.True(tooFar > 20 && enough > 20, $"{tooFar} too short, {enough} enough");
    }

    private static double Latest(LossTimeline timeline, LossMarkKind kind) =>
        timeline.Marks.Single(m => m.Kind == kind).Latest.Value;

    private static LossTimeline Seen(ReturnSettings settings, FlightAtLoss flight, Milliseconds? lands = null) =>
        LossPlay.Of(Homeward(settings, lands), new Percent(0), fix: true)!.With(flight);

    private static Setup Homeward(ReturnSettings settings, Milliseconds? lands = null, Milliseconds grace = default) =>
        Demo.Plain.WithBoard(b =>
            b with
            {
                Equipment = new() { PositionReceiver = true },
                Loss = new LossSettings
                {
                    Procedure = LossProcedure.ReturnHome,
                    Return = settings,
                    LandingTime = lands ?? new(20_000),
                    Grace = grace,
                },
            }
        );

    /// <summary>A flight in the plane, the craft a point that air and wind carry along.</summary>
    private sealed class Walk(ReturnSettings settings, FlightAtLoss flight, double lands, Random random)
    {
        private const double Step = 0.004;

        private readonly double windFrom = random.NextDouble() * 2 * Math.PI;
        private readonly double homeAt = random.NextDouble() * 2 * Math.PI;
        private readonly double turns = random.NextDouble() * 3;
        private readonly double share = random.NextDouble();

        /// <summary>How far from the place of the last packet it comes down, and whether on the way.</summary>
        public (double Far, bool Without) Down(double begins, double fails)
        {
            var wind = flight.Wind.Value * share;
            var (windX, windY) = (wind * Math.Cos(windFrom), wind * Math.Sin(windFrom));
            var (homeX, homeY) = (
                flight.Pilot!.Value.Value * Math.Cos(homeAt),
                flight.Pilot.Value.Value * Math.Sin(homeAt)
            );
            var brake = flight.FallsAt is { } carried ? 9.80665 / (carried.Value * carried.Value) : 0;
            var (x, y, z, vx, vy, down) = (0.0, 0.0, flight.Height.Value, flight.Speed.Value, 0.0, -flight.Climb.Value);
            for (var time = 0.0; z > 0 && time < 4000; time += Step)
            {
                if (time >= begins && time < fails)
                {
                    var slow = Math.Max(0, 1 - ((time - begins) / Math.Max(turns, Step)));
                    var (toX, toY) = (homeX - x, homeY - y);
                    var away = Math.Sqrt((toX * toX) + (toY * toY));
                    if (slow > 0)
                        (vx, vy, down) = (flight.Speed.Value * slow, 0, -settings.Climb.Value);
                    else if (away > 0.1)
                        (vx, vy, down) = Towards(toX / away, toY / away, away, windX, windY);
                    else
                        (vx, vy, down) = (0, 0, flight.Descent.Value);
                    if (down < 0 && z >= settings.Height.Value)
                        down = 0;
                    else if (slow <= 0 && away > 0.1 && z < settings.Height.Value)
                        (vx, vy, down) = (0, 0, -settings.Climb.Value);
                }
                else if (time >= fails)
                {
                    var (rx, ry) = (vx - windX, vy - windY);
                    var falls = time >= fails + lands;
                    if (!falls)
                        down = down < 0 ? down + (9.80665 * Step) : flight.Descent.Value;
                    var k = brake * Math.Sqrt((rx * rx) + (ry * ry) + (falls ? down * down : 0));
                    (vx, vy) = (vx - (k * rx * Step), vy - (k * ry * Step));
                    if (falls)
                        down += (9.80665 - (k * down)) * Step;
                }

                (x, y, z) = (x + (vx * Step), y + (vy * Step), z - (down * Step));
                if (z <= 0)
                    return (Math.Sqrt((x * x) + (y * y)), time >= fails);
            }

            throw new InvalidOperationException("It never comes down.");
        }

        // Over the ground: at its speed through the air and what the wind adds or takes along the way.
        private (double X, double Y, double Down) Towards(double x, double y, double away, double windX, double windY)
        {
            var speed = Math.Min(settings.Speed.Value + (windX * x) + (windY * y), away / Step);
            return (speed * x, speed * y, 0);
        }
    }
}
