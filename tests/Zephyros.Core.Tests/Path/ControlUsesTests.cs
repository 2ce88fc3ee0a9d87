using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Path;

/// <summary>What each control does, and where it must stand at switch-on: both derived.</summary>
public sealed class ControlUsesTests
{
    [Theory]
    [InlineData("left-shoulder", 1, "")]
    [InlineData("left-shoulder", 2, "Arm")]
    [InlineData("right-front-inner", 1, "Self-level")]
    [InlineData("right-front-inner", 2, "Blended level")]
    [InlineData("right-front-inner", 3, "")]
    [InlineData("left-front-inner", 2, "Self-right")]
    public void Each_position_says_what_it_does_on_the_board(string control, int position, string does)
    {
        var use = SignalPlan.Compile(Demo.Plain).Uses.Single(u => u.Control == control);
        Assert.Equal(does, string.Join(", ", use.Positions.Single(p => p.Setting == position).Does));
    }

    [Fact]
    public void A_condition_an_override_and_a_state_are_told_at_the_position_that_brings_them()
    {
        var uses = SignalPlan.Compile(Demo.Sandpiper).Uses.ToDictionary(u => u.Control);
        var limiter = uses["right-front-outer"].Positions[1].Does;
        Assert.Contains(limiter, d => d.Contains("Limiter on", StringComparison.Ordinal));
        Assert.Contains(limiter, d => d.Contains("Practice", StringComparison.Ordinal));
        Assert.Equal(
            ["“Cut held” holds", "“Cut on” holds", "forces Throttle to −100 %"],
            uses["right-back-switch"].Positions[1].Does
        );
        Assert.Equal(
            ["left-button", "left-front-outer"],
            uses.Values.Where(u => u.Free).Select(u => u.Control).Order()
        );
    }

    [Fact]
    public void A_change_of_the_model_changes_what_is_said()
    {
        var moved = Demo.Plain.WithArm(f => f with { Aux = 2, Low = new Microseconds(1750) });
        var uses = SignalPlan.Compile(moved).Uses.ToDictionary(u => u.Control);
        Assert.Empty(uses["left-shoulder"].Positions[1].Does);
        Assert.Contains("Arm", uses["right-front-inner"].Positions[2].Does);
    }

    [Fact]
    public void The_power_on_check_warns_about_what_arms_and_what_moves_the_throttle()
    {
        var setup = Demo
            .Plain.ReadyMade("throttle-limiter", ("dial", "left-dial"), ("active", "right-shoulder:2"))
            .ReadyMade("throttle-cut", ("cut", "right-back-switch:2"));
        var items = PowerOnCheck.Of(SignalPlan.Compile(setup)).ToDictionary(i => i.Control);
        Assert.Equal(
            ["left-shoulder", "right-back-switch", "right-shoulder", "throttle"],
            items.Values.Where(i => i.Warns).Select(i => i.Control).Order()
        );
        Assert.Equal("down", items["throttle"].Wanted);
        Assert.Equal("safe", items["left-shoulder"].Wanted);
        Assert.All(items.Values, i => Assert.True(i.StartFits));
        Assert.Equal(setup.Transmitter.Controls.Count, items.Count);
        Assert.Equal("Changes the throttle, but by itself does not lift it.", items["left-dial"].Reason);
    }

    [Fact]
    public void A_dial_that_lifts_the_throttle_by_itself_is_warned_about()
    {
        var setup = Demo.Plain.WithStep(
            "throttle",
            "mix",
            new Core.Model.AddStep { Order = 90, With = Build.With(Build.Hand("left-dial"), 50, 50) }
        );
        var item = PowerOnCheck.Of(SignalPlan.Compile(setup)).Single(i => i.Control == "left-dial");
        Assert.Equal((true, "By itself it lifts the throttle."), (item.Warns, item.Reason));
    }

    [Fact]
    public void Every_blank_transmitter_makes_a_valid_new_craft()
    {
        foreach (var blank in BlankTransmitters.All)
        {
            var setup = NewSetup.For("Tern", blank);
            Assert.Empty(SetupValidator.Check(setup));
            Assert.Equal("AETR", Core.Model.ChannelOrder.Of(setup.Model, setup.Transmitter)?.ToString());
            // A new craft has no arm switch yet, and every control but the sticks is free.
            var free = SignalPlan.Compile(setup).Uses.Where(u => u.Free).Select(u => u.Control).ToHashSet();
            Assert.All(blank.Controls, c => Assert.Equal(c.Value is not StickControl, free.Contains(c.Key)));
        }

        Assert.Equal(
            [4, 6, 8, 10],
            BlankTransmitters.All.Select(b => b.Controls.Values.OfType<SwitchControl>().Count())
        );
    }
}
