using Zephyros.Core.Bench;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Captures;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Measure;

/// <summary>The guided routines on the simulated bench: they advance by themselves, and end with what the solvers need.</summary>
public sealed class RoutineTests
{
    [Fact]
    public void A_pilot_who_follows_it_gets_wiggles_and_sweeps_without_touching_anything_else()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.Guide(RoutineKind.Sticks);
        foreach (var stick in new[] { StickAxis.Throttle, StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw })
        {
            Assert.StartsWith($"Move {stick.Word()} fully", State(bench).Prompt, StringComparison.Ordinal);
            Hold(bench, stick, 100);
            Assert.Equal($"Now {stick.Word()} to its other end, and hold it there.", State(bench).Prompt);
            Hold(bench, stick, -100);
            Assert.Matches("^(Let .* go|Leave throttle where it is)\\.$", State(bench).Prompt);
            Hold(bench, stick, stick == StickAxis.Throttle ? -100 : 0);
        }

        var done = State(bench);
        Assert.True(done.Done);
        // The transmitter sends T A E R, the board reads A E T R.
        Assert.Equal(
            [StickAxis.Roll, StickAxis.Pitch, StickAxis.Throttle, StickAxis.Yaw],
            done.Readings.Wiggles.Select(w => w.Bar)
        );
        Assert.All(done.Readings.Wiggles, w => Assert.False(w.Reversed));
        Assert.Equal(4, done.Readings.Sweeps.Count);
        Assert.All(
            done.Readings.Sweeps.Values,
            s => Assert.Equal((988, 1500, 2012), (s.Low.Value, s.Centre.Value, s.High.Value))
        );
    }

    [Fact]
    public void Two_sticks_at_once_are_told_apart_only_by_moving_one()
    {
        var bench = Settled(Demo.Plain);
        bench.Guide(RoutineKind.Sticks);
        bench.Move("roll", 100);
        Hold(bench, StickAxis.Throttle, 100);
        Assert.Contains("roll and throttle answered together", State(bench).Problem, StringComparison.Ordinal);
        bench.Move("roll", 0);
        Hold(bench, StickAxis.Throttle, 100);
        Assert.Equal(
            ("Now throttle to its other end, and hold it there.", ""),
            (State(bench).Prompt, State(bench).Problem)
        );
    }

    [Fact]
    public void Small_movements_and_short_rests_advance_nothing()
    {
        var bench = Settled(Demo.Plain);
        bench.Guide(RoutineKind.Sticks);
        Hold(bench, StickAxis.Throttle, -90);
        Assert.StartsWith("Move throttle fully", State(bench).Prompt, StringComparison.Ordinal);
        bench.Move("throttle", 100);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(700));
        Assert.StartsWith("Move throttle fully", State(bench).Prompt, StringComparison.Ordinal);
        bench.Guide(RoutineKind.None);
        Assert.Null(bench.Snapshot("throttle").Routine);
    }

    // Every switch and button of every demo craft, put where the routine asks.
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void Switches_are_measured_one_position_after_the_other(string id)
    {
        var setup = Demo.Load(id);
        var bench = Settled(setup);
        bench.Guide(RoutineKind.Switches);
        var count = State(bench).Count;
        Assert.InRange(count, 5, 60);
        for (var step = 0; step < count; step++)
        {
            Assert.Equal((step, false, ""), (State(bench).Seen, State(bench).Done, State(bench).Problem));
            var (control, setting) = Asked(setup, State(bench).Prompt);
            bench.Move(control, setting);
            // A channel with a slow step or a long press comes to rest later.
            for (var i = 0; i < 6 && State(bench).Seen == step; i++)
                bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1.2));
        }

        Assert.True(State(bench).Done);
        var simulated = SimulatedMeasurement.Positions(SignalPlan.Compile(setup));
        Assert.All(State(bench).Readings.Positions, p => Assert.Contains(p, simulated));
        Assert.Equal(simulated.Count, State(bench).Readings.Positions.Count);
    }

    // Otherwise the position that it already has could never be seen to come.
    [Fact]
    public void A_switch_that_stands_elsewhere_is_asked_back_first_and_then_measured_like_the_others()
    {
        var bench = Settled(Demo.Plain);
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        bench.Guide(RoutineKind.Switches);
        Assert.Equal("Put Left shoulder at safe.", State(bench).Prompt);
        bench.Move("left-shoulder", 1);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1.2));
        Assert.Equal(
            (1, 0, "Put Left shoulder at far."),
            (State(bench).Seen, State(bench).Readings.Positions.Count, State(bench).Prompt)
        );
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1.2));
        Assert.Equal(2, Assert.Single(State(bench).Readings.Positions).Setting);
    }

    [Fact]
    public void The_wrong_switch_is_told_and_does_not_count()
    {
        var bench = Settled(Demo.Plain);
        bench.Guide(RoutineKind.Switches);
        var (asked, _) = Asked(Demo.Plain, State(bench).Prompt);
        var other = SimulatedMeasurement.Positions(SignalPlan.Compile(Demo.Plain)).First(p => p.Control != asked);
        bench.Move(other.Control, other.Setting + 1);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1.2));
        Assert.Contains("Is it the right switch?", State(bench).Problem, StringComparison.Ordinal);
        Assert.Equal(0, State(bench).Seen);
        bench.Skip();
        Assert.Equal((1, "", 0), (State(bench).Seen, State(bench).Problem, State(bench).Readings.Positions.Count));
    }

    // The wire recorded while sticks and switches were moved in the routines' order, through file and recogniser and back.
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void A_recording_of_the_wire_drives_the_routines_too(string id)
    {
        var plan = SignalPlan.Compile(Demo.Load(id));
        var recording = ReceiverRecording.OfMeasuring(plan.Setup);
        var measured = RecordedMeasurement.Of(plan, Recognised.As(recording));
        Assert.Equal("", measured.Problem);
        Assert.Equal(
            StickAxes.All.Select(a => SimulatedMeasurement.Wiggled(plan, a)).OrderBy(w => w!.Moved),
            measured.Readings.Wiggles.OrderBy(w => w.Moved)
        );
        foreach (var axis in StickAxes.All)
        {
            var (one, other) = (SimulatedMeasurement.Swept(plan, axis)!, measured.Readings.Sweeps[axis.Word()]);
            Assert.InRange(Math.Abs(one.Low.Value - other.Low.Value), 0, 1);
            Assert.InRange(Math.Abs(one.Centre.Value - other.Centre.Value), 0, 1);
            Assert.InRange(Math.Abs(one.High.Value - other.High.Value), 0, 1);
        }

        Assert.Equal(
            SimulatedMeasurement.Positions(plan).OrderBy(p => p.Control, StringComparer.Ordinal).ThenBy(p => p.Setting),
            measured.Readings.Positions.OrderBy(p => p.Control, StringComparer.Ordinal).ThenBy(p => p.Setting)
        );
    }

    [Fact]
    public void A_recording_that_ends_early_says_what_is_missing()
    {
        var plan = SignalPlan.Compile(Demo.Plain);
        var verdict = Recognised.As(ReceiverRecording.OfMeasuring(Demo.Plain));
        var half = verdict with { Frames = [.. verdict.Frames.Take(verdict.Frames.Count / 12)] };
        Assert.StartsWith(
            "The recording ends while the routine waits for: ",
            RecordedMeasurement.Of(plan, half).Problem,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "with times",
            RecordedMeasurement.Of(plan, verdict with { Interval = null }).Problem,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "fewer than the four",
            RecordedMeasurement.Of(plan, verdict with { Frames = [] }).Problem,
            StringComparison.Ordinal
        );
    }

    // A channel that carries the link's quality never rests; it is no reason to wait.
    [Fact]
    public void A_channel_that_moves_with_the_link_does_not_hold_the_routine_up()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.Guide(RoutineKind.Switches);
        bench.Move("left-shoulder", 2);
        for (var i = 0; i < 12; i++)
        {
            bench.Report("quality", new Reading(i % 2 == 0 ? 90 : 60));
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(0.1));
        }

        Assert.Equal(1, State(bench).Seen);
    }

    // What a hand does that reads the prompt.
    private static (string Control, double Setting) Asked(Setup setup, string prompt) =>
        (
            from control in setup.Transmitter.Controls
            from position in control.Value.NamedPositions
            where
                prompt == $"Put {control.Value.Name} at {position.Name}."
                || prompt == $"Press {control.Value.Name}, and hold it." && position.Name == "held"
                || prompt == $"Let {control.Value.Name} go." && position.Name == "released"
            select (control.Key, position.Setting)
        ).Single();

    private static BenchRun Settled(Setup setup)
    {
        var bench = new BenchRun(setup);
        bench.Move("throttle", -100);
        bench.AdvanceTo(TimeSpan.FromSeconds(1));
        return bench;
    }

    private static RoutineState State(BenchRun bench) => bench.Snapshot("throttle").Routine!;

    private static void Hold(BenchRun bench, StickAxis stick, double setting)
    {
        bench.Move(bench.Setup.Transmitter.StickOf(stick)!, setting);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1.7));
    }
}
