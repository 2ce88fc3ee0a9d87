using Zephyros.Core.Bench;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Measure;

/// <summary>The guided routine on the simulated bench: it advances by itself, and ends with what the solver needs.</summary>
public sealed class GuidedRoutineTests
{
    [Fact]
    public void A_pilot_who_follows_it_gets_wiggles_and_sweeps_without_touching_anything_else()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.Guide(true);
        foreach (var stick in new[] { StickAxis.Throttle, StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw })
        {
            Assert.Equal((RoutinePhase.FirstEnd, stick), (State(bench).Phase, State(bench).Stick));
            Hold(bench, stick, 100);
            Assert.Equal(RoutinePhase.OtherEnd, State(bench).Phase);
            Hold(bench, stick, -100);
            Assert.Equal(RoutinePhase.LetGo, State(bench).Phase);
            Hold(bench, stick, stick == StickAxis.Throttle ? -100 : 0);
        }

        var done = State(bench);
        Assert.Equal(RoutinePhase.Done, done.Phase);
        // The transmitter sends T A E R, the board reads A E T R.
        Assert.Equal(
            [StickAxis.Roll, StickAxis.Pitch, StickAxis.Throttle, StickAxis.Yaw],
            done.Wiggles.Select(w => w.Bar)
        );
        Assert.All(done.Wiggles, w => Assert.False(w.Reversed));
        Assert.Equal(4, done.Sweeps.Count);
        Assert.All(
            done.Sweeps.Values,
            s => Assert.Equal((988, 1500, 2012), (s.Low.Value, s.Centre.Value, s.High.Value))
        );
    }

    [Fact]
    public void Two_sticks_at_once_are_told_apart_only_by_moving_one()
    {
        var bench = Settled(Demo.Plain);
        bench.Guide(true);
        bench.Move("roll", 100);
        Hold(bench, StickAxis.Throttle, 100);
        Assert.Equal(RoutinePhase.FirstEnd, State(bench).Phase);
        Assert.Contains("roll and throttle answered together", State(bench).Problem, StringComparison.Ordinal);
        bench.Move("roll", 0);
        Hold(bench, StickAxis.Throttle, 100);
        Assert.Equal((RoutinePhase.OtherEnd, ""), (State(bench).Phase, State(bench).Problem));
    }

    [Fact]
    public void Small_movements_and_short_rests_advance_nothing()
    {
        var bench = Settled(Demo.Plain);
        bench.Guide(true);
        Hold(bench, StickAxis.Throttle, -90);
        Assert.Equal(RoutinePhase.FirstEnd, State(bench).Phase);
        bench.Move("throttle", 100);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(700));
        Assert.Equal(RoutinePhase.FirstEnd, State(bench).Phase);
        bench.Guide(false);
        Assert.Null(bench.Snapshot("throttle").Routine);
    }

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
