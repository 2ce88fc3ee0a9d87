using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Model;

/// <summary>What needs time: slow steps, delays and presses.</summary>
public sealed class TimedStepTests
{
    [Fact]
    public void A_slow_step_follows_at_its_speed_up_and_down()
    {
        var slow = new SlowStep
        {
            Order = 1,
            Up = new PercentPerSecond(100),
            Down = new PercentPerSecond(50),
        };
        var rig = new ModelRig(OnDial(slow));
        double After() => rig.Values("arm")[1];
        // 0 -> 80 at 100 %/s takes 0.8 s.
        rig.Put("left-dial", 80, 0);
        Assert.Equal(0, After());
        rig.Pass(300);
        Assert.Equal(30, After(), 9);
        rig.Pass(600);
        Assert.Equal(80, After(), 9);
        Assert.False(rig.Memory.Restless);
        rig.Put("left-dial", 0, 100);
        Assert.Equal(75, After(), 9);
        Assert.True(rig.Memory.Restless);
        Assert.Equal(0, rig.Settle().Values("arm")[1]);
    }

    [Fact]
    public void A_slow_step_that_is_not_asked_for_lets_pass_and_starts_from_there()
    {
        var slow = new SlowStep
        {
            Order = 1,
            Up = new PercentPerSecond(10),
            When = "on",
        };
        var rig = new ModelRig(OnDial(slow).WithCondition("on", At("right-shoulder", 2)));
        Assert.Equal(60, rig.Put("left-dial", 60, 10).Values("arm")[1]);
        rig.Put("right-shoulder", 2, 10).Put("left-dial", 100, 1000);
        Assert.Equal(70, rig.Values("arm")[1], 9);
    }

    [Fact]
    public void A_delay_waits_for_a_steady_input()
    {
        var test = new DelayTest
        {
            Of = [At("right-shoulder", 2)],
            OnAfter = new Milliseconds(500),
            OffAfter = new Milliseconds(200),
        };
        var rig = new ModelRig(Demo.Plain.WithCondition("late", test));
        Assert.False(rig.Put("right-shoulder", 2, 10).Holds("late"));
        Assert.False(rig.Pass(499).Holds("late"));
        // A short drop starts the wait anew.
        rig.Put("right-shoulder", 1, 10).Put("right-shoulder", 2, 10);
        Assert.False(rig.Pass(499).Holds("late"));
        Assert.True(rig.Pass(1).Holds("late"));
        Assert.True(rig.Put("right-shoulder", 1, 10).Pass(199).Holds("late"));
        Assert.False(rig.Pass(1).Holds("late"));
    }

    // Held for so long, and let go: whether a press of at least 300 ms let go before 900 ms was seen, and one of 2 s while it is held.
    [Theory]
    [InlineData(200, false, false)]
    [InlineData(300, true, false)]
    [InlineData(899, true, false)]
    [InlineData(900, false, false)]
    [InlineData(1999, false, false)]
    [InlineData(2000, false, true)]
    public void A_press_is_told_by_its_length(double heldMs, bool isShort, bool isLong)
    {
        var press = new PressTest
        {
            Control = "left-button",
            AtLeast = new Milliseconds(300),
            Before = new Milliseconds(900),
        };
        var setup = Demo
            .Plain.WithCondition("short", press)
            .WithCondition("long", press with { AtLeast = new Milliseconds(2000), Before = null });
        var rig = new ModelRig(setup).Put("left-button", 1, 10);
        rig.Pass(heldMs / 2).Pass(heldMs / 2);
        Assert.Equal((false, isLong), (rig.Holds("short"), rig.Holds("long")));
        rig.Put("left-button", 0);
        Assert.Equal((isShort, false), (rig.Holds("short"), rig.Holds("long")));
        // A press that was let go in time counts for 200 ms.
        Assert.Equal(isShort, rig.Pass(199).Holds("short"));
        Assert.False(rig.Pass(2).Holds("short"));
    }

    [Fact]
    public void Telemetry_that_is_lost_satisfies_no_comparison()
    {
        var test = new SensorTest
        {
            Sensor = "distance",
            Relation = Relation.Above,
            Limit = new Reading(600),
        };
        var rig = new ModelRig(
            Demo.Sandpiper.WithCondition("far", test).WithCondition("lost", new TelemetryLostTest())
        );
        Assert.True(rig.Report("distance", 601).Holds("far"));
        Assert.False(rig.Report("distance", 600).Holds("far"));
        rig.TelemetryLost = true;
        Assert.Equal((false, true), (rig.Report("distance", 601).Holds("far"), rig.Holds("lost")));
    }
}
