using System.Globalization;
using System.Text.RegularExpressions;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Loss;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>The timeline of a loss against the bench itself, looked at every millisecond.</summary>
public sealed class LossTimelineTests
{
    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(1);

    private static readonly FlightAtLoss Flight = FlightAtLoss.Usual with { FallsAt = new(18) };

    // Random settings, and the last packet at a random time between frames: what the bench does comes when the timeline says.
    [Fact]
    public void Every_mark_is_when_the_bench_does_it()
    {
        var random = new Random(2107);
        var seen = new HashSet<LossMarkKind>();
        for (var i = 0; i < Iterations.Of(60); i++)
        {
            var setup = LossSetups.Next(random);
            var throttle = new Percent(random.Next(5) == 0 ? -100 : random.Next(-60, 101));
            var fix = random.Next(2) == 0;
            var timeline = LossPlay.Of(setup, throttle, fix)!.With(Flight);
            var bench = ArmedBench.Of(setup, throttle, fix)!.Bench;
            var loss = bench.Now + TimeSpan.FromTicks(random.NextInt64(TimeSpan.TicksPerSecond));
            foreach (var (kind, after) in Observed(bench, loss, TimeSpan.FromSeconds(16)))
            {
                seen.Add(kind);
                Assert.True(
                    timeline.Marks.Any(m =>
                        m.Kind == kind
                        && after >= m.Earliest.Value - 0.01
                        && after <= m.Latest.Value + Look.TotalMilliseconds + 0.01
                    ),
                    $"{i}: {kind} after {after} ms, not among {string.Join("; ", timeline.Marks.Where(m => m.Kind == kind))}"
                );
            }
        }

        Assert.Superset(
            new HashSet<LossMarkKind>
            {
                LossMarkKind.SignalLost,
                LossMarkKind.Procedure,
                LossMarkKind.MotorsStop,
                LossMarkKind.MotorsChange,
                LossMarkKind.TelemetryMissed,
                LossMarkKind.Beeps,
            },
            seen
        );
    }

    // At random times, and just beside each instant at which the outcome is said to change.
    [Fact]
    public void Every_return_comes_out_as_the_sweep_says()
    {
        var random = new Random(44);
        var seen = new HashSet<ReturnOutcome>();
        for (var i = 0; i < Iterations.Of(40); i++)
        {
            var setup = LossSetups.Next(random);
            var throttle = new Percent(random.Next(5) == 0 ? -100 : random.Next(-60, 101));
            var play = LossPlay.Of(setup, throttle, fix: true)!;
            var (bench, loss) = play.Begins;
            var spans = play.With(Flight).Returns;
            Assert.Equal(0, spans[0].From.Value);
            Assert.Equal(60_000, spans[^1].To.Value);
            var times = spans
                .SelectMany(s => new[] { s.From.Value - 0.02, s.From.Value + 0.02 })
                .Concat(Enumerable.Range(0, 6).Select(_ => random.NextDouble() * 14_000))
                .Where(t => t >= 0 && !spans.Any(s => Math.Abs(s.From.Value - t) < 0.015));
            foreach (var time in times)
            {
                var span = spans.Last(s => s.From.Value <= time);
                seen.Add(span.Outcome);
                Assert.Equal(span.Outcome, Outcome(bench, loss, TimeSpan.FromMilliseconds(time)));
            }
        }

        Assert.Superset(
            new HashSet<ReturnOutcome>
            {
                ReturnOutcome.NotNoticed,
                ReturnOutcome.Resumed,
                ReturnOutcome.ThrottleThrown,
                ReturnOutcome.BrokenOff,
                ReturnOutcome.FliesOn,
                ReturnOutcome.MustCycle,
            },
            seen
        );
    }

    // The demo's Wren is to fly home and has no position receiver: satellites overhead change nothing.
    [Fact]
    public void Without_a_position_receiver_there_is_never_a_fix()
    {
        var outdoors = LossPlay.Of(Demo.Wren, new(0), fix: true)!.With(Demo.Wren.Craft.AtLoss!);
        Assert.False(outdoors.Fix);
        Assert.DoesNotContain(outdoors.Course, p => p.Leg == LegKind.Returning);
        Assert.Contains(outdoors.Course, p => p.Leg == LegKind.Landing);
        var bench = new BenchRun(Demo.Wren);
        bench.Surround(new Surroundings(default, false, false, Fix: true));
        Assert.False(bench.Surroundings.Fix);
    }

    // What is drawn of the way keeps to what the board does: a craft whose motors stop is on the ground by the closed form.
    [Fact]
    public void A_stop_at_sixty_kilometres_an_hour_from_forty_metres()
    {
        var flight = new FlightAtLoss { Speed = new(60 / 3.6), Height = new(40) };
        var timeline = LossPlay.Of(Demo.Plain, new Percent(0), fix: false)!.With(flight);
        var stop = timeline.Marks.Single(m => m.Kind == LossMarkKind.MotorsStop);
        var ground = timeline.Marks.Single(m => m.Kind == LossMarkKind.Touchdown);
        // By hand: the receiver's time and the board's, then sqrt(2 × 40 / 9.80665) s, all at 16.67 m/s.
        Assert.Equal(300 + Demo.Plain.Board.SignalTimeout.Value, stop.Latest.Value, 3);
        Assert.Equal(stop.Latest.Value + 2856.2, ground.Latest.Value, 0);
        var far = ground.Latest.Value / 1000 * 60 / 3.6;
        Assert.Equal(far, ground.Far.Value, 2);
        Assert.Equal(Math.Ceiling(far), timeline.Footprint.Reach!.Value.Value);
    }

    // By hand: up on until the motors stop, then (12 + sqrt(12² + 2 × 9.80665 × h)) / 9.80665 s.
    [Fact]
    public void A_stop_while_it_climbs_and_a_dive_that_ends_before_it()
    {
        var play = LossPlay.Of(Demo.Plain, new Percent(0), fix: false)!;
        var flight = new FlightAtLoss
        {
            Speed = new(10),
            Height = new(40),
            Climb = new(12),
        };
        var climbs = play.With(flight);
        var stop = (300 + Demo.Plain.Board.SignalTimeout.Value) / 1000;
        var high = 40 + (12 * stop);
        var down = stop + ((12 + Math.Sqrt(144 + (2 * 9.80665 * high))) / 9.80665);
        Assert.Equal(high, climbs.Marks.Single(m => m.Kind == LossMarkKind.MotorsStop).High.Value, 3);
        Assert.Equal(down * 1000, climbs.Marks.Single(m => m.Kind == LossMarkKind.Touchdown).Latest.Value, 0);
        Assert.Equal(Math.Ceiling(10 * down), climbs.Footprint.Reach!.Value.Value);
        Assert.Equal(10, climbs.Footprint.Likely!.Value.Value / down, 2);

        // 4 m down at 20 m/s take 0.2 s; with 10 m/s along it comes to the ground at sqrt(500) m/s.
        var dives = play.With(flight with { Height = new(4), Climb = new(-20) });
        Assert.Equal(200, dives.Marks.Single(m => m.Kind == LossMarkKind.Touchdown).Latest.Value, 3);
        Assert.Equal(Math.Sqrt(500), dives.Footprint.Impact!.Value.Value, 6);
    }

    // By hand: what 9.80665 m/s² take away on the height that is left; a landing does not make a dive near the ground soft.
    [Theory]
    [InlineData(8, true)]
    [InlineData(60, false)]
    public void A_landing_that_begins_in_a_dive(double height, bool hard)
    {
        var setup = Demo.Plain.WithBoard(b =>
            b with
            {
                Loss = new() { Procedure = LossProcedure.Land, LandingTime = new(60_000) },
            }
        );
        var flight = new FlightAtLoss
        {
            Speed = new(10),
            Height = new(height),
            Climb = new(-9),
            Descent = new(1),
        };
        var timeline = LossPlay.Of(setup, new Percent(0), fix: false)!.With(flight);
        var begins = timeline.Marks.Single(m => m.Kind == LossMarkKind.Procedure).Latest.Value / 1000;
        var left = 81 - (2 * 9.80665 * (height - (9 * begins)));
        Assert.Equal(hard, left > 1);
        Assert.Equal(hard ? Math.Sqrt(100 + left) : 1, timeline.Footprint.Impact!.Value.Value, 6);
        Assert.Equal(hard, timeline.Footprint.Words.Any(w => w.Contains("in a dive", StringComparison.Ordinal)));
    }

    // Who stands a hair outside reads the same whole metres as who stands inside, and must not read that it is safe.
    [Fact]
    public void Whole_metres_never_tell_somebody_outside_who_is_not()
    {
        var plain = LossPlay.Of(Demo.Plain, new Percent(0), fix: false)!;
        foreach (var speed in Enumerable.Range(0, 60))
        {
            var flight = new FlightAtLoss { Speed = new(speed / 1.7), Height = new(20) };
            var ground = plain.With(flight).Marks.Single(m => m.Kind == LossMarkKind.Touchdown).Far.Value;
            foreach (var hair in (double[])[-0.4, 0.001, 0.4, 0.9, 1.1, 2])
            {
                var stands = Math.Max(ground + hair, 0.1);
                var footprint = plain.With(flight with { Pilot = new(stands) }).Footprint;
                var words = Assert.Single(footprint.Words);
                Assert.Equal(footprint.Struck, words.EndsWith(": not there.", StringComparison.Ordinal));
                var told = Regex
                    .Matches(words, @"\d+")
                    .Select(m => int.Parse(m.Value, CultureInfo.InvariantCulture))
                    .ToArray();
                Assert.Equal(footprint.Struck, told[0] <= told[1]);
                Assert.True(footprint.Struck || stands > ground, words);
                Assert.True(!footprint.Struck || stands < ground + 2, words);
            }
        }
    }

    // A random flight in a random wind, its landing and its fall in plain small steps, never comes down outside the circle.
    [Fact]
    public void Nothing_comes_down_outside_the_circle()
    {
        var random = new Random(9);
        for (var i = 0; i < Iterations.Of(60); i++)
        {
            var flight = new FlightAtLoss
            {
                Speed = new(random.Next(0, 40)),
                Height = new(random.Next(1, 120)),
                Wind = new(random.Next(0, 15)),
                Climb = new(random.Next(2) * random.Next(-20, 30)),
                Descent = new(random.Next(1, 5)),
                FallsAt = random.Next(3) == 0 ? null : new(random.Next(5, 40)),
            };
            var timeline = LossPlay.Of(LossSetups.Next(random), new Percent(0), fix: false)!.With(flight);
            if (timeline.Footprint is not { Rest: not null, Reach: { } reach })
                continue;
            Assert.InRange(timeline.Footprint.Likely!.Value.Value, 0, reach.Value + 0.01);
            var from = random.NextDouble() * 2 * Math.PI;
            var wind = flight.Wind.Value * random.NextDouble();
            var walked = Walked(flight, timeline, wind * Math.Cos(from), wind * Math.Sin(from));
            Assert.InRange(walked, 0, reach.Value + 0.2);
        }
    }

    [Fact]
    public void A_receiver_that_holds_brings_nothing_down()
    {
        var setup = Demo.Plain.WithAir(a => a with { OnLoss = Core.Air.ReceiverLoss.Hold });
        var timeline = LossPlay.Of(setup, new Percent(0), fix: false)!.With(Flight);
        Assert.DoesNotContain(timeline.Marks, m => m.Kind is LossMarkKind.SignalLost or LossMarkKind.Touchdown);
        Assert.Equal(ReturnOutcome.NotNoticed, Assert.Single(timeline.Returns).Outcome);
        Assert.True(timeline.Footprint.Struck);
        Assert.Null(timeline.Footprint.Rest);
    }

    private static IEnumerable<(LossMarkKind Kind, double After)> Observed(
        BenchRun armed,
        TimeSpan loss,
        TimeSpan until
    )
    {
        var bench = armed.Fork();
        bench.AdvanceTo(loss);
        bench.SetTelemetry(false);
        var givesUp = loss + GivesUp(bench);
        var (before, missed) = (bench.Board, bench.TelemetryLost);
        for (var at = loss + Look; at <= loss + until; at += Look)
        {
            if (bench.Link && at >= givesUp)
            {
                bench.AdvanceTo(givesUp);
                bench.SetLink(false);
            }

            bench.AdvanceTo(at);
            var (now, after) = (bench.Board, (at - loss).TotalMilliseconds);
            if (before.HasSignal && !now.HasSignal)
                yield return (LossMarkKind.SignalLost, after);
            var stopped = now.Motors == MotorLevel.Off && before.Motors != MotorLevel.Off;
            if (
                !now.HasSignal
                && (bench.Setup.Board.Loss.Beeper, before.HasSignal, stopped)
                    is
                        (LossBeeper.SinceLoss, true, _)
                        or
                        (LossBeeper.WhenDown, _, true)
            )
                yield return (LossMarkKind.Beeps, after);
            if (now.Signal != before.Signal && now.Signal is BoardSignal.Landing or BoardSignal.Returning)
                yield return (LossMarkKind.Procedure, after);
            if (now.Motors == MotorLevel.Off && before.Motors != MotorLevel.Off)
                yield return (LossMarkKind.MotorsStop, after);
            else if (now.Motors != before.Motors && now.Signal is BoardSignal.Good or BoardSignal.Grace)
                yield return (LossMarkKind.MotorsChange, after);
            if (bench.TelemetryLost && !missed)
                yield return (LossMarkKind.TelemetryMissed, after);
            (before, missed) = (now, bench.TelemetryLost);
        }
    }

    // Until its receiver gives up it goes on with the last values: 300 ms while nobody has measured it (our own assumption).
    private static TimeSpan GivesUp(BenchRun bench) =>
        TimeSpan.FromMilliseconds(bench.Setup.Air.GivesUpAfter?.Value ?? 300);

    private static ReturnOutcome Outcome(BenchRun armed, TimeSpan loss, TimeSpan after)
    {
        var bench = armed.Fork();
        bench.AdvanceTo(loss);
        bench.SetTelemetry(false);
        if (after >= GivesUp(bench))
        {
            bench.AdvanceTo(loss + GivesUp(bench));
            bench.SetLink(false);
        }

        bench.AdvanceTo(loss + after);
        bench.SetTelemetry(true);
        bench.SetLink(true);
        var (before, noticed) = (bench.Board, !bench.Board.HasSignal);
        var byItself = before.Signal is BoardSignal.Landing or BoardSignal.Returning;
        for (var at = loss + after; at <= loss + after + TimeSpan.FromSeconds(1); at += TimeSpan.FromMilliseconds(0.25))
        {
            bench.AdvanceTo(at);
            var now = bench.Board;
            if (now.Armed && !before.Armed)
                return ReturnOutcome.ArmedAgain;
            if (noticed && now.HasSignal && !before.HasSignal && now.Armed)
                return byItself ? ReturnOutcome.BrokenOff
                    : now.Motors == MotorLevel.Thrust && before.Motors != MotorLevel.Thrust
                        ? ReturnOutcome.ThrottleThrown
                    : ReturnOutcome.Resumed;
            noticed |= !now.HasSignal;
            byItself = now.Signal is BoardSignal.Landing or BoardSignal.Returning;
            before = now;
        }

        return byItself ? ReturnOutcome.FliesOn
            : before.Armed ? ReturnOutcome.NotNoticed
            : before.Standing == ArmRefusal.None ? ReturnOutcome.StaysOff
            : ReturnOutcome.MustCycle;
    }

    // In the plane: straight on, then what wind and air make of it, by which leg it is in at that time.
    private static double Walked(FlightAtLoss flight, LossTimeline timeline, double windAlong, double windAcross)
    {
        const double Step = 0.002;
        var brake = flight.FallsAt is { } carried ? 9.80665 / (carried.Value * carried.Value) : 0;
        var (x, y, z, time) = (0.0, 0.0, flight.Height.Value, 0.0);
        var (vx, vy, down) = (flight.Speed.Value, 0.0, -flight.Climb.Value);
        while (z > 0 && time < 700)
        {
            var leg = timeline.Course.Last(p => p.After.Value <= (time * 1000) + 1e-6 || p.After.Value == 0).Leg;
            var (rx, ry) = (vx - windAlong, vy - windAcross);
            if (leg == LegKind.Falling)
            {
                var k = brake * Math.Sqrt((rx * rx) + (ry * ry) + (down * down));
                (vx, vy, down) = (vx - (k * rx * Step), vy - (k * ry * Step), down + ((9.80665 - (k * down)) * Step));
            }
            else if (leg == LegKind.Landing)
            {
                var k = brake * Math.Sqrt((rx * rx) + (ry * ry));
                down = down < 0 ? down + (9.80665 * Step) : flight.Descent.Value;
                (vx, vy) = (vx - (k * rx * Step), vy - (k * ry * Step));
            }
            else if (leg == LegKind.OnGround)
            {
                // The wind of this walk held it up a little longer: it falls on.
                down = Math.Max(down, 0.5);
            }

            (x, y, z, time) = (x + (vx * Step), y + (vy * Step), z - (down * Step), time + Step);
        }

        return Math.Sqrt((x * x) + (y * y));
    }
}
