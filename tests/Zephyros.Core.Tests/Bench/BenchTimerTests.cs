using Zephyros.Core.Bench;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Timers;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

public sealed class BenchTimerTests
{
    // Common practice, no source: it starts when armed and the throttle was raised once, runs whatever the throttle does, stops at
    // disarming, and goes on once the throttle is raised again.
    [Fact]
    public void The_time_in_the_air_runs_from_the_first_raised_throttle_until_disarming()
    {
        var bench = At(Timed(), 1000);
        bench.Move("left-shoulder", 2);
        Assert.Equal(("0:00", false), Shown(bench, 5000));
        bench.Move("throttle", 0);
        Assert.Equal(("0:04", true), Shown(bench, 4000));
        bench.Move("throttle", -100);
        Assert.Equal(("1:02", true), Shown(bench, 58_000));
        bench.Move("left-shoulder", 1);
        Assert.Equal(("1:02", false), Shown(bench, 60_000));
        bench.Move("left-shoulder", 2);
        Assert.Equal(("1:02", false), Shown(bench, 60_000));
        bench.Move("throttle", 20);
        Assert.Equal(("1:03", true), Shown(bench, 1000));
    }

    [Fact]
    public void A_switch_that_went_on_with_the_throttle_up_starts_nothing()
    {
        var bench = At(Timed(), 1000);
        bench.Move("throttle", 50);
        bench.Move("left-shoulder", 2);
        Assert.Equal(("0:00", false), Shown(bench, 5000));
    }

    // Common practice, no source: down from 2:30, only while the throttle is up, with calls at 30, 20 and 10 s and at the end.
    [Fact]
    public void The_time_under_load_counts_down_while_the_throttle_is_up_and_calls_out()
    {
        var bench = Armed(Timed(("school", "load"), ("from", "150")));
        bench.Move("throttle", 0);
        Assert.Equal(("2:30", true), Shown(bench, 999));
        Assert.Equal(("2:29", true), Shown(bench, 1));
        bench.Move("throttle", -100);
        Assert.Equal(("2:29", false), Shown(bench, 100_000));
        bench.Move("throttle", 0);
        var before = bench.Now;
        Assert.Equal(("−0:01", true), Shown(bench, 150_500));
        Assert.Equal(
            [
                (119.0, "Load time 30 seconds"),
                (129.0, "Load time 20 seconds"),
                (139.0, "Load time 10 seconds"),
                (149.0, "Load time is over"),
            ],
            Called(bench, before)
        );
    }

    [Fact]
    public void Weighted_a_second_counts_as_far_as_the_throttle_is_up()
    {
        var bench = Armed(Timed(("school", "weighted"), ("from", "60")));
        bench.Move("throttle", 50);
        // 75 % of the way.
        Assert.Equal(7500, Counted(bench, 10_000), 3);
        bench.Move("throttle", 100);
        Assert.Equal(17_500, Counted(bench, 10_000), 3);
        bench.Move("throttle", -60);
        var before = bench.Now;
        Assert.Equal(19_500, Counted(bench, 10_000), 3);
        Assert.Equal(60_000, Counted(bench, 202_500), 3);
        Assert.Equal(
            [
                (62.5, "Load time 30 seconds"),
                (112.5, "Load time 20 seconds"),
                (162.5, "Load time 10 seconds"),
                (212.5, "Load time is over"),
            ],
            Called(bench, before).Select(c => (Math.Round(c.Seconds, 3), c.Says))
        );
    }

    // The truth table of the trade, common practice, no source: (disarmed, telemetry) nothing, (armed, lost) nothing, (disarmed, lost)
    // once, and telemetry that returns does not reset again.
    [Fact]
    public void It_begins_anew_once_when_the_battery_is_unplugged()
    {
        var bench = Flown();
        bench.SetTelemetry(false);
        Assert.Equal(("0:13", true), Shown(bench, 3000));
        bench.SetTelemetry(true);
        Assert.Equal(("0:16", true), Shown(bench, 3000));
        bench.Move("left-shoulder", 1);
        Assert.Equal(("0:16", false), Shown(bench, 3000));
        bench.SetPower(false);
        Assert.Equal(("0:00", false), Shown(bench, 3000));
        Assert.Equal(["Flight time begins anew at 0:16"], Resets(bench));
        bench.SetPower(true);
        bench.Move("throttle", -100);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(3));
        bench.Move("left-shoulder", 2);
        bench.Move("throttle", 0);
        Assert.Equal(("0:02", true), Shown(bench, 2000));
        Assert.Single(Resets(bench));
    }

    [Fact]
    public void Unplugged_with_the_switch_still_on_it_waits_for_the_switch()
    {
        var bench = Flown();
        bench.SetPower(false);
        Assert.Equal(("0:13", true), Shown(bench, 3000));
        bench.Move("left-shoulder", 1);
        Assert.Equal(("0:00", false), Shown(bench, 10));
    }

    [Fact]
    public void The_lowest_and_highest_readings_begin_anew_with_it_where_that_is_wanted()
    {
        foreach (var (readings, lowest) in new[] { ("yes", (double?)null), ("no", 8) })
        {
            var bench = Flown(("readings", readings));
            bench.Report("voltage", new Reading(8));
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
            bench.Move("left-shoulder", 1);
            bench.SetPower(false);
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
            Assert.Equal(lowest, bench.Snapshot("throttle").Sensors["voltage"].Lowest?.Value);
        }
    }

    [Fact]
    public void A_button_resets_it_once_it_was_held_long_enough_and_only_while_disarmed()
    {
        var bench = Flown(("reset", "button"), ("button", "left-button"));
        bench.Move("left-button", 1);
        Assert.Equal(("0:13", true), Shown(bench, 3000));
        bench.Move("left-button", 0);
        bench.Move("left-shoulder", 1);
        bench.Move("left-button", 1);
        Assert.Equal(("0:13", false), Shown(bench, 1900));
        Assert.Equal(("0:00", false), Shown(bench, 200));
    }

    [Fact]
    public void By_hand_it_begins_anew_at_any_time_and_a_transmitter_that_was_off_has_forgotten_it()
    {
        var bench = Flown();
        Assert.True(bench.ResetTimer("flight-time"));
        Assert.False(bench.ResetTimer("nobody"));
        Assert.Equal(("0:02", true), Shown(bench, 2000));
        bench.SetTransmitter(false);
        Assert.Equal(("0:00", false), Shown(bench, 30_000));
        bench.SetTransmitter(true);
        Assert.Equal(("0:00", false), Shown(bench, 30_000));
        Assert.Equal(["Flight time begins anew at 0:10"], Resets(bench));
    }

    [Fact]
    public void An_edit_resets_nothing_and_a_copy_counts_on_by_itself()
    {
        var bench = Flown(Timed().WithCondition("now", At("left-shoulder", 2)));
        bench.Replace(
            bench.Setup.InModel(m =>
                m with
                {
                    Timers = m.Timers.Set("flight-time", t => t with { Label = "Aloft", Calls = [] }),
                }
            )
        );
        Assert.Equal(("0:11", true), Shown(bench, 1000));
        // What now resets it holds already.
        bench.Replace(
            bench.Setup.InModel(m =>
                m with
                {
                    Timers = m.Timers.Set("flight-time", t => t with { Reset = new TimerReset { When = "now" } }),
                }
            )
        );
        Assert.Equal(("0:12", true), Shown(bench, 1000));
        var copy = bench.Fork();
        Assert.Equal(("0:15", true), Shown(copy, 3000));
        Assert.Equal(("0:13", true), Shown(bench, 1000));
    }

    // A picture comes with every second that is shown, and with none in between.
    [Fact]
    public void What_is_shown_changes_with_every_second()
    {
        var bench = Flown();
        var (sequence, told) = (bench.Sequence, new HashSet<string>(StringComparer.Ordinal));
        for (var i = 0; i < 5000; i++)
        {
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(1));
            var shown = bench.Snapshot("throttle").Timers["flight-time"].Shown;
            Assert.False(told.Add(shown) && i > 0 && sequence == bench.Sequence);
            sequence = bench.Sequence;
        }

        Assert.Equal(["0:10", "0:11", "0:12", "0:13", "0:14", "0:15"], told);
    }

    // The trial of a timer plays no bench; what it says must come so on one, with its packets and its real times.
    [Theory]
    [InlineData("air", "unplugged")]
    [InlineData("load", "both")]
    [InlineData("weighted", "button")]
    public void What_a_trial_says_is_what_the_bench_does(string school, string reset)
    {
        var setup = Timed(("school", school), ("reset", reset), ("button", "left-button"));
        var bench = At(setup, 2000);
        foreach (var moment in TimerTrial.Of(SignalPlan.Compile(setup), setup.Model.Timers.Values.Single())!)
        {
            var before = Resets(bench).Count;
            Happen(bench, moment.Event);
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
            Assert.Equal(
                (moment.Event, moment.Counts, moment.Resets),
                (moment.Event, bench.Snapshot("throttle").Timers.Values.Single().Counting, Resets(bench).Count > before)
            );
        }
    }

    // A plain sum over a bench that is looked at every millisecond knows nothing of agendas and calls.
    [Fact]
    public void Random_hands_count_as_a_plain_sum_over_time_does()
    {
        var random = new Random(9);
        for (var run = 0; run < Iterations.Of(12); run++)
        {
            string[] schools = ["air", "load", "weighted"];
            var setup = Timed(
                ("school", schools[run % 3]),
                ("reset", "both"),
                ("button", "left-button"),
                ("hold", "0.3")
            );
            var timer = setup.Model.Timers.Values.Single();
            var bench = At(setup, 1500);
            var (sum, held, resets) = (0.0, true, 0);
            for (var ms = 0; ms < 20_000; ms++)
            {
                if (random.Next(600) == 0)
                    Fumble(bench, random);
                var picture = bench.Snapshot("throttle");
                if (picture.Conditions[timer.Reset!.When] is var now && now && !held)
                    (sum, resets) = (0, resets + (sum > 0 ? 1 : 0));
                held = now;
                var rate = timer.Weight is null ? 1 : (picture.Settings["throttle"] + 100) / 200;
                sum += picture.Conditions[timer.While!] ? rate : 0;
                bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(1));
            }

            // Between two looks a condition may begin and a reset come: at most a millisecond for each.
            Assert.Equal(sum, bench.Snapshot("throttle").Timers.Values.Single().Counted.Value, 60.0);
            Assert.InRange(resets, Resets(bench).Count - 2, Resets(bench).Count + 2);
        }
    }

    private static void Fumble(BenchRun bench, Random random)
    {
        switch (random.Next(5))
        {
            case 0:
                bench.Move("left-shoulder", 1 + random.Next(2));
                break;
            case 1:
                bench.Move("left-button", random.Next(2));
                break;
            case 2:
                bench.SetTelemetry(random.Next(2) == 0);
                break;
            default:
                bench.Move("throttle", random.Next(3) == 0 ? -100 : random.Next(-100, 101));
                break;
        }
    }

    private static void Happen(BenchRun bench, TimerEvent happens)
    {
        switch (happens)
        {
            case TimerEvent.SwitchOn or TimerEvent.SwitchOff:
                bench.Move("left-shoulder", happens == TimerEvent.SwitchOn ? 2 : 1);
                break;
            case TimerEvent.ThrottleUp or TimerEvent.ThrottleLow:
                bench.Move("throttle", happens == TimerEvent.ThrottleUp ? 0 : -100);
                break;
            case TimerEvent.TelemetryLost or TimerEvent.TelemetryBack:
                bench.SetTelemetry(happens == TimerEvent.TelemetryBack);
                break;
            case TimerEvent.Unplugged or TimerEvent.PluggedIn:
                bench.SetPower(happens == TimerEvent.PluggedIn);
                break;
            case TimerEvent.AtRest:
                break;
            default:
                throw new ArgumentOutOfRangeException(nameof(happens));
        }
    }

    private static Setup Timed(params (string Name, string Value)[] wanted) =>
        Demo
            .Plain.InModel(m => m with { Sensors = Demo.Sandpiper.Model.Sensors })
            .WithBoard(b => b with { Equipment = Demo.Sandpiper.Board.Equipment })
            .ReadyMade("flight-timer", [("arm", "left-shoulder:2"), .. wanted]);

    private static BenchRun At(Setup setup, double milliseconds)
    {
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(milliseconds));
        return bench;
    }

    private static BenchRun Armed(Setup setup)
    {
        var bench = At(setup, 1000);
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        return bench;
    }

    // Ten seconds in the air.
    private static BenchRun Flown(params (string Name, string Value)[] wanted) => Flown(Timed(wanted));

    private static BenchRun Flown(Setup setup)
    {
        var bench = Armed(setup);
        bench.Move("throttle", 0);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(10));
        return bench;
    }

    private static (string Shown, bool Counting) Shown(BenchRun bench, double after)
    {
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(after));
        var timer = bench.Snapshot("throttle").Timers.Values.Single();
        return (timer.Shown, timer.Counting);
    }

    private static double Counted(BenchRun bench, double after)
    {
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(after));
        return bench.Snapshot("throttle").Timers.Values.Single().Counted.Value;
    }

    private static IEnumerable<(double Seconds, string Says)> Called(BenchRun bench, TimeSpan since) =>
        from entry in bench.Log.After(0)
        where entry.Kind == LogKind.Said && entry.At.Value > since.TotalMilliseconds
        select ((entry.At.Value - since.TotalMilliseconds) / 1000, entry.Text);

    private static List<string> Resets(BenchRun bench) =>
        [.. bench.Log.After(0).Where(e => e.Kind == LogKind.Reset).Select(e => e.Text)];

    private static PositionTest At(string control, int position) => Build.At(control, position);
}
