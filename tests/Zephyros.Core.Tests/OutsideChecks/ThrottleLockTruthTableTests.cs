namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>The throttle lock against its truth table. Common practice, no source: set by "arm switch on and throttle below
/// -98 %"; cleared by "arm switch off" (multirotor) or by "arm switch off and throttle below -98 %" (fixed wing); while not set,
/// the throttle is forced to -100 %.</summary>
public sealed class ThrottleLockTruthTableTests
{
    private static readonly string[] Schools = ["at-once", "at-low-throttle"];

    // Unlocked before, arm switch on, throttle low -> unlocked after; first for the multirotor, then for the fixed wing.
    public static TheoryData<bool, bool, bool, bool, bool> Table =>
        new()
        {
            { false, false, false, false, false },
            { false, false, true, false, false },
            { false, true, false, false, false },
            { false, true, true, true, true },
            { true, false, false, false, true },
            { true, false, true, false, false },
            { true, true, false, true, true },
            { true, true, true, true, true },
        };

    [Theory]
    [MemberData(nameof(Table))]
    public void The_lock_follows_its_table(bool before, bool armed, bool low, bool multirotor, bool fixedWing)
    {
        foreach (var (school, unlocked) in Schools.Zip([multirotor, fixedWing]))
        {
            var rig = Rig(school);
            if (before)
                rig.Put("throttle", -100).Put("left-shoulder", 2);
            // With the switch moved first, the throttle must not pass through "low" on its way, nor the other way round.
            if (low)
                rig.Put("left-shoulder", armed ? 2 : 1).Put("throttle", -99);
            else
                rig.Put("throttle", -97).Put("left-shoulder", armed ? 2 : 1);
            Assert.Equal(unlocked, rig.Holds("throttle-unlocked"));
            // Locked, it is forced to -100 %, past the channel's low end of -97.6 %.
            var stick = low ? -99 : -97;
            Assert.Equal(unlocked ? stick * 0.976 : -100, rig.Value("throttle"), 9);
        }
    }

    [Fact]
    public void It_may_also_refuse_while_trim_or_tuning_is_on()
    {
        var rig = new ModelRig(
            Demo.Plain.ReadyMade("throttle-lock", ("arm", "left-shoulder:2"), ("refuse", "right-shoulder:2"))
        );
        rig.Put("right-shoulder", 2).Put("left-shoulder", 2);
        Assert.False(rig.Holds("throttle-unlocked"));
        Assert.True(rig.Put("right-shoulder", 1).Holds("throttle-unlocked"));
        // Once unlocked, switching tuning on does not take the throttle away in flight.
        Assert.True(rig.Put("right-shoulder", 2).Holds("throttle-unlocked"));
    }

    private static ModelRig Rig(string school)
    {
        var rig = new ModelRig(Demo.Plain.ReadyMade("throttle-lock", ("arm", "left-shoulder:2"), ("locks", school)));
        return rig.Put("throttle", 0);
    }
}
