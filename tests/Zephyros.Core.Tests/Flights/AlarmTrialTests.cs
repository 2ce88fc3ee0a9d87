using Zephyros.Core.Bench;
using Zephyros.Core.Findings;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Trial;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Flights;

public sealed class AlarmTrialTests
{
    private const string Battery = "battery-low";

    private static Alarm Low { get; } = Alarm.Of(Demo.Sandpiper).Single(a => a.Id == Battery);

    // Common practice, no source: a limit above the present reading speaks, and below it is silent; then it is put back.
    [Fact]
    public void Above_what_is_read_it_is_heard_and_back_again_it_is_silent()
    {
        var bench = At(Demo.Sandpiper, 3000);
        var before = bench.Setup;
        var (test, obstacle) = AlarmTest.Begin(bench, Battery);
        Assert.Equal("", obstacle);
        Assert.NotNull(test);
        Assert.Equal(AlarmTestState.Raised, test.Picture.State);
        Assert.Equal(25.4, test.Picture.Level.Value, 6);
        Assert.NotSame(before, bench.Setup);
        Assert.Equal(AlarmTestState.Done, Run(bench, test));
        Assert.Same(before, bench.Setup);
        // For as long as the alarm waits, and the age that a reading may have.
        Assert.InRange(test.Picture.After!.Value.Value, Low.Wait.Value, Low.Wait.Value + 400);
        Assert.StartsWith("Battery 25.", test.Picture.Words, StringComparison.Ordinal);
    }

    // Nothing of it is left: the same hands give the same pictures afterwards, but for what was said.
    [Fact]
    public void A_bench_on_which_an_alarm_was_heard_is_as_one_on_which_none_was()
    {
        var (tried, other) = (At(Demo.Sandpiper, 3000), At(Demo.Sandpiper, 3000));
        var test = AlarmTest.Begin(tried, Battery).Test!;
        Assert.Equal(AlarmTestState.Done, Run(tried, test));
        foreach (var bench in new[] { tried, other })
        {
            bench.AdvanceTo(TimeSpan.FromSeconds(15));
            bench.Move("left-shoulder", 2);
            bench.Move("throttle", 30);
            bench.AdvanceTo(TimeSpan.FromSeconds(20));
        }

        var (one, two) = (tried.Snapshot("throttle"), other.Snapshot("throttle"));
        Assert.Equal(
            two.Conditions.Where(c => c.Value).Select(c => c.Key).Order(),
            one.Conditions.Where(c => c.Value).Select(c => c.Key).Order()
        );
        Assert.Equal(two.Received, one.Received);
        Assert.Equal(two.Sensors["voltage"].Words, one.Sensors["voltage"].Words);
    }

    [Fact]
    public void One_that_says_nothing_in_time_is_told_and_its_limit_is_put_back_all_the_same()
    {
        // One that only forces a channel is not spoken of.
        var silent = Demo
            .Sandpiper.WithAnnouncement("battery", a => a with { When = "limiter-on" })
            .WithOverride("camera", Battery, 0);
        var bench = At(silent, 3000);
        var test = AlarmTest.Begin(bench, Battery).Test!;
        Assert.Equal(AlarmTestState.Done, Run(bench, test));
        Assert.Equal("It holds; nothing is said of it.", test.Picture.Words);

        var late = Demo.Sandpiper.WithCondition(
            Battery,
            Build.All(Low.Condition.Test, Build.At("left-back-switch", 2))
        );
        bench = At(late, 3000);
        test = AlarmTest.Begin(bench, Battery).Test!;
        Assert.Equal(AlarmTestState.Unheard, Run(bench, test));
        Assert.Equal("It does not hold.", test.Picture.Words);
        Assert.Same(late, bench.Setup);
    }

    // What holds for another reason goes on.
    [Fact]
    public void One_that_goes_on_is_told()
    {
        var lasting = Demo.Sandpiper.WithCondition(
            Battery,
            new DelayTest { Of = [Low.Condition.Test], OffAfter = new(60_000) }
        );
        var bench = At(lasting, 3000);
        var test = AlarmTest.Begin(bench, Battery).Test!;
        Assert.Equal(AlarmTestState.GoesOn, Run(bench, test));
        Assert.Same(lasting, bench.Setup);
    }

    [Fact]
    public void An_edit_breaks_it_off_and_counts()
    {
        var bench = At(Demo.Sandpiper, 3000);
        var test = AlarmTest.Begin(bench, Battery).Test!;
        var edited = Demo.Sandpiper.InModel(m => m with { Name = "OTHER" });
        test.BreakOff();
        bench.Replace(edited);
        Step(bench, test);
        Assert.Equal(AlarmTestState.BrokenOff, test.Picture.State);
        Assert.Same(edited, bench.Setup);
    }

    [Fact]
    public void What_cannot_be_tried_is_said()
    {
        string Said(Action<BenchRun> first, string id = Battery, Setup? setup = null)
        {
            var bench = At(setup ?? Demo.Sandpiper, 3000);
            first(bench);
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(3));
            var (test, obstacle) = AlarmTest.Begin(bench, id);
            Assert.Null(test);
            return obstacle;
        }

        Assert.Equal("There is no such alarm.", Said(_ => { }, "nobody"));
        Assert.StartsWith("Telemetry is missed", Said(b => b.SetPower(false)), StringComparison.Ordinal);
        Assert.Equal(
            "Flight battery reads 20.0 V, below the limit already: there is nothing to be raised.",
            Said(b => b.Report("voltage", new Reading(20)))
        );
        Assert.Equal(
            "Flight battery reads 0.0 V, which the alarm takes for no reading at all: connect the battery.",
            Said(b => b.Report("voltage", new Reading(0)))
        );
        Assert.StartsWith(
            "Link quality reads 100 %, and 100 % is the most that it can",
            Said(b => b.Report("quality", new Reading(100)), "signal-weak", Demo.Gannet),
            StringComparison.Ordinal
        );
        Assert.StartsWith("Nothing was heard of", RaisedLimit.Of(Low, null).Obstacle, StringComparison.Ordinal);
    }

    // Only the limit raised, an alarm with a band of release is over at once: so where it is over is raised with it.
    [Fact]
    public void Where_it_is_over_moves_along_or_nothing_would_be_heard()
    {
        Assert.Equal(22.8, Low.Over!.Value.Value, 6);
        Assert.Equal(26, RaisedLimit.OverAt(Low, new Reading(25.4))!.Value.Value, 6);
        foreach (var (over, heard) in new[] { (22.8, false), (26, true) })
        {
            var raised = (LatchTest)
                Low.With(Demo.Sandpiper, new Reading(25.4), Low.Wait).Model.Conditions[Battery].Test;
            var clear = raised.Clear.Select(t => t is SensorTest above ? above with { Limit = new(over) } : t);
            var bench = At(Demo.Sandpiper.WithCondition(Battery, raised with { Clear = [.. clear] }), 8000);
            Assert.Equal(
                heard,
                bench.Log.After(0).Any(e => e.Text.StartsWith("Battery 25.", StringComparison.Ordinal))
            );
        }
    }

    // At a real transmitter: reading 14.8, the limit at 15.0 speaks, and it is over only when 13.6 was read back (common practice, no source).
    [Fact]
    public void At_the_transmitter_a_finding_stands_until_the_old_limit_was_read_back()
    {
        var setup = ReturnFaults.Right;
        var alarm = Alarm.Of(setup).Single();
        var level = RaisedLimit.Of(alarm, new Reading(24.8)).Level!.Value;
        Assert.Equal(25, level.Value, 6);
        var raised = RaisedLimit.Note(setup, alarm, level).ApplyTo(setup).Setup!;
        Assert.Empty(SetupValidator.Check(raised));
        var finding = Assert.Single(Examination.Of(raised));
        Assert.Equal(("alarm-left-raised:battery-low", Severity.Danger), (finding.Key, finding.Severity));
        Assert.Null(RaisedLimit.ReadBack(raised, alarm, alarm.Level.Limit, null));
        Assert.Null(RaisedLimit.ReadBack(raised, alarm, alarm.Level.Limit, new Reading(23.5)));
        Assert.Null(RaisedLimit.ReadBack(raised, alarm, level, alarm.Over));
        Assert.Null(RaisedLimit.ReadBack(raised, alarm, new Reading(alarm.Level.Limit.Value + 0.1), alarm.Over));
        var back = RaisedLimit.ReadBack(raised, alarm, alarm.Level.Limit, alarm.Over)!.ApplyTo(raised).Setup!;
        Assert.Empty(Examination.Of(back));
        Assert.Equal(alarm.Level.Limit, Alarm.Of(raised).Single().Level.Limit);
    }

    private static AlarmTestState Run(BenchRun bench, AlarmTest test)
    {
        for (var i = 0; i < 3000 && test.Runs; i++)
            Step(bench, test);
        return test.Picture.State;
    }

    private static void Step(BenchRun bench, AlarmTest test)
    {
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(16));
        test.Look();
    }

    private static BenchRun At(Setup setup, double milliseconds)
    {
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(milliseconds));
        return bench;
    }
}
