using CsCheck;
using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>The small sums that the trade does by hand, done by the ready-made chains.</summary>
public sealed class SmallSumsTests
{
    // Common practice, no source: out = (t + 100) x m - 100 with m = 0.75 + 0.25 x d/100 keeps the low end.
    [Fact]
    public void The_throttle_limiter_is_the_formula_of_the_trade()
    {
        var rig = new ModelRig(
            Demo.Plain.ReadyMade("throttle-limiter", ("dial", "left-dial"), ("lowest", "50"), ("highest", "100"))
        );
        Gen.Double[-100, 100]
            .Select(Gen.Double[-100, 100])
            .Sample(
                (t, d) =>
                {
                    var m = 0.75 + (0.25 * d / 100);
                    var values = rig.Put("left-dial", d).Put("throttle", t).Values("throttle");
                    return Math.Abs(values[^3] - (((t + 100) * m) - 100)) < 1e-9;
                },
                iter: Iterations.Of(200),
                threads: 1
            );
    }

    [Theory]
    [InlineData(-100, -100, -100)]
    [InlineData(-100, 100, 0)]
    [InlineData(0, 100, 50)]
    [InlineData(100, 100, 100)]
    [InlineData(100, -100, -100)]
    public void Limited_to_half_the_travel_is_at_the_middle(double dial, double throttle, double gives)
    {
        var setup = Demo.Plain.ReadyMade("throttle-limiter", ("lowest", "50"), ("highest", "100"));
        Assert.Equal(
            gives,
            new ModelRig(setup).Put("left-dial", dial).Put("throttle", throttle).Values("throttle")[^3],
            9
        );
    }

    // Common practice, no source: activation limit 1060 us, low end raised to 1070 us (-84 % wide, 1069.92), locked 988 us.
    [Fact]
    public void Two_stage_arming_raises_the_low_end_to_84_percent_and_forces_988()
    {
        var plain = Demo.Plain.WithChannel("throttle", c => c with { Output = new() });
        var setup = plain.ReadyMade(
            "two-stage-arming",
            ("second", "right-shoulder:2"),
            ("limit", "1060"),
            ("arm", "left-shoulder:2")
        );
        // To the transmitter's step of 0.1 % upwards, so that it is not below 1070 us.
        Assert.Equal(-83.9, setup.Model.Channels["throttle"].Output.Low.Value);
        var whole = plain with { Transmitter = plain.Transmitter with { TravelStep = new Percent(1) } };
        whole = whole.ReadyMade("two-stage-arming", ("second", "right-shoulder:2"), ("limit", "1059.9"));
        Assert.Equal(-84, whole.Model.Channels["throttle"].Output.Low.Value);

        var rig = new ModelRig(whole);
        Assert.Equal(988, rig.Sent[2], 9);
        rig.Put("left-shoulder", 2);
        Assert.Equal(988, rig.Sent[2], 9);
        rig.Put("right-shoulder", 2);
        Assert.Equal(1069.92, rig.Sent[2], 9);
        Assert.Equal(988, rig.Put("left-shoulder", 1).Sent[2], 9);
        Assert.DoesNotContain(Examination.Of(whole), f => f.Key.StartsWith("activation", StringComparison.Ordinal));
    }

    // The order that the trade teaches: a throttle raised at the second stage makes the craft jump. Here it stays locked.
    [Fact]
    public void A_raised_throttle_at_the_second_stage_stays_locked()
    {
        var setup = Demo.Plain.ReadyMade("two-stage-arming", ("second", "right-shoulder:2"), ("limit", "1060"));
        var rig = new ModelRig(setup).Put("left-shoulder", 2).Put("throttle", 20).Put("right-shoulder", 2);
        Assert.Equal(988, rig.Sent[2], 9);
        Assert.True(rig.Put("throttle", -100).Put("throttle", 20).Sent[2] > 1500);
    }

    // Common practice, no source: outside 33 % to either side counts as an end position.
    [Theory]
    [InlineData(-100, -100)]
    [InlineData(-33.1, -100)]
    [InlineData(-33, 10)]
    [InlineData(0, 10)]
    [InlineData(33, 10)]
    [InlineData(33.1, 90)]
    [InlineData(100, 90)]
    public void Thirds_of_a_dial(double dial, double gives)
    {
        var setup = Demo.Plain.ReadyMade("dial-thirds", ("channel", "beeper"), ("values", "-100 10 90"));
        Assert.Equal(gives, new ModelRig(setup).Put("left-dial", dial).Value("beeper"), 9);
    }

    // Common practice, no source: n evenly spaced positions give -100 + 200 k/(n-1).
    [Theory]
    [InlineData(2, new double[] { -100, 100 })]
    [InlineData(3, new double[] { -100, 0, 100 })]
    [InlineData(6, new double[] { -100, -60, -20, 20, 60, 100 })]
    public void Switch_positions_are_evenly_spaced(int count, double[] percents)
    {
        var made = new SwitchControl
        {
            Label = "x",
            Place = ControlPlace.LeftFront,
            Positions = count,
            Start = 1,
            Safe = 1,
        };
        Assert.Equal(percents, Enumerable.Range(1, count).Select(p => made.ValueAt(p).Value));
    }
}
