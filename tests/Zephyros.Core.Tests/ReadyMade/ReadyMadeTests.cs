using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.ReadyMade;

public sealed class ReadyMadeTests
{
    public static TheoryData<string> Ids => [.. ReadyMadeChains.All.Select(c => c.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void What_is_built_is_valid_and_says_what_it_does(string id)
    {
        (string, string)[] wanted = id switch
        {
            "throttle-cut" => [("cut", "right-back-switch:2")],
            "two-stage-arming" => [("second", "right-shoulder:2"), ("limit", "1060")],
            "spoken-on-switch" => [("while", "right-shoulder:2")],
            _ => [],
        };
        var (built, arguments) = Try(Demo.Sandpiper, id, wanted);
        Assert.Empty(arguments.Problems);
        Assert.Empty(SetupValidator.Check(built!.Setup));
        Assert.NotEmpty(built.Facts);
        Assert.NotEmpty(ModelChanges.Between(Demo.Sandpiper, built.Setup));
        Assert.NotEqual(CanonicalJson.Write(Demo.Sandpiper), CanonicalJson.Write(built.Setup));
    }

    // What is built is right as it stands: nothing is found of it, once the board is known to measure what it asks.
    [Theory]
    [InlineData("battery-alarm")]
    [InlineData("signal-alarm")]
    public void An_alarm_as_it_is_built_has_no_fault(string id)
    {
        foreach (var cells in new[] { 1, 4, 6, 12 })
        foreach (var home in new[] { null, Demo.Sandpiper.Craft.WayHome })
        {
            var bare = (Demo.Plain with { Craft = Demo.Sandpiper.Craft with { Cells = cells, WayHome = home } })
                .WithBoard(b => b with { Equipment = new() { Divider = true } })
                .ReadyMade("flight-timer", ("arm", "left-shoulder:2"));
            var (built, arguments) = Try(bare, id);
            Assert.Empty(arguments.Problems);
            Assert.Empty(SetupValidator.Check(built!.Setup));
            Assert.Empty(Examination.Of(built.Setup).Select(f => $"{cells}: {f.Key} {f.What}"));
        }
    }

    [Fact]
    public void Nothing_is_built_without_a_throttle()
    {
        var bare = Demo.Plain.InModel(m => m with { Channels = m.Channels.Remove("throttle") });
        foreach (var id in new[] { "throttle-lock", "throttle-cut", "two-stage-arming", "throttle-limiter" })
        {
            var (built, arguments) = Try(bare, id);
            Assert.Null(built);
            Assert.Contains(
                arguments.Problems,
                p => p.Reason.Contains("No channel takes the throttle", StringComparison.Ordinal)
            );
        }
    }

    [Theory]
    [InlineData("throttle-limiter", "lowest", "-1", "must be 0 to 100 %, not -1.")]
    [InlineData("throttle-limiter", "lowest", "much", "wants a number, not \"much\".")]
    [InlineData("throttle-limiter", "dial", "left-shoulder", "cannot be chosen for Limited by.")]
    [InlineData("throttle-limiter", "colour", "red", "\"colour\" is not asked for")]
    [InlineData("throttle-cut", "cut", "", "choose a control and its positions.")]
    [InlineData("throttle-cut", "cut", "nobody:2", "has no control \"nobody\".")]
    [InlineData("throttle-cut", "cut", "right-shoulder:3", "Right shoulder has no position \"3\".")]
    [InlineData("throttle-cut", "cut", "right-shoulder:", "choose at least one position")]
    [InlineData("throttle-cut", "cut", "right-shoulder:1,2", "it would never end.")]
    [InlineData("two-stage-arming", "second", "left-shoulder:2", "leave no way to arm without unlocking")]
    [InlineData("straighten-switch", "measured", "-100 0 x", "\"x\" is no number from -150 to +150.")]
    [InlineData("straighten-switch", "measured", "-100 0", "3 values are needed, not 2.")]
    [InlineData("straighten-switch", "measured", "-100 0 0", "cannot be told apart.")]
    [InlineData("expo-curve", "points", "2", "Points must be 3 to")]
    [InlineData("dial-thirds", "channel", "nowhere", "cannot be chosen for On channel.")]
    public void A_wrong_argument_is_named(string id, string name, string value, string reason)
    {
        var (built, arguments) = Try(Demo.Plain, id, (name, value));
        Assert.Null(built);
        Assert.Contains(
            arguments.Problems,
            p => p.Place == $"/{name}" && p.Reason.Contains(reason, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_condition_that_is_there_already_is_used_again()
    {
        var once = Demo.Plain.ReadyMade("throttle-lock", ("arm", "left-shoulder:2"));
        var twice = once.ReadyMade("two-stage-arming", ("second", "right-shoulder:2"), ("limit", "1060"));
        Assert.Single(twice.Model.Conditions.Values, c => c.Label == "Arm switch on");
        Assert.Single(twice.Model.Conditions.Values, c => c.Label == "Throttle low");
    }

    // A stick that is worn at its end counts as low from where its transmitter says.
    [Fact]
    public void Low_is_where_the_transmitter_says()
    {
        var worn = Demo.Plain with { Transmitter = Demo.Plain.Transmitter with { ThrottleLow = new(-95) } };
        foreach (var (setup, unlocks) in new[] { (Demo.Plain, false), (worn, true) })
        {
            var rig = new ModelRig(setup.ReadyMade("throttle-lock", ("arm", "left-shoulder:2")));
            rig.Put("throttle", -96).Put("left-shoulder", 2).Put("throttle", 50);
            Assert.Equal(unlocks, rig.Value("throttle") > 40);
        }
    }

    [Fact]
    public void The_cut_wins_over_every_other_override_on_the_throttle()
    {
        var setup = Demo
            .Plain.ReadyMade("throttle-lock", ("arm", "left-shoulder:2"))
            .ReadyMade("throttle-cut", ("cut", "right-back-switch:2"));
        var rig = new ModelRig(setup).Put("left-shoulder", 2).Put("throttle", 50);
        Assert.True(rig.Value("throttle") > 40);
        Assert.Equal(-100, rig.Put("right-back-switch", 2).Value("throttle"));
        Assert.Equal("throttle-cut", setup.Model.OverridesOf("throttle")[0].Key);
    }

    [Fact]
    public void The_limiter_works_only_in_the_chosen_positions_and_leaves_the_low_end()
    {
        var setup = Demo.Plain.ReadyMade(
            "throttle-limiter",
            ("dial", "left-dial"),
            ("lowest", "60"),
            ("active", "right-front-inner:2,3")
        );
        var rig = new ModelRig(setup).Put("left-dial", -100).Put("throttle", 100);
        double Chain() => rig.Values("throttle")[^3];
        Assert.Equal(100, Chain());
        Assert.Equal(20, rig.Put("right-front-inner", 2).Values("throttle")[^3], 9);
        Assert.Equal(20, rig.Put("right-front-inner", 3).Values("throttle")[^3], 9);
        rig.Put("throttle", -100);
        Assert.Equal(-100, Chain(), 9);
    }

    // The only dial is the one to begin with; without one the pilot is asked.
    [Theory]
    [InlineData(1, "left-dial")]
    [InlineData(0, "")]
    public void A_limiter_begins_with_the_only_dial(int dials, string chosen)
    {
        var controls = Demo.Plain.Transmitter.Controls;
        var kept = controls.Where(c => c.Value is TravellingControl).Select(c => c.Key).Order().Take(dials);
        var setup = Demo.Plain with
        {
            Transmitter = Demo.Plain.Transmitter with
            {
                Controls = controls.RemoveRange(
                    controls.Where(c => c.Value is TravellingControl).Select(c => c.Key).Except(kept)
                ),
            },
        };
        var parameters = ReadyMadeChains.Find("throttle-limiter")!.Parameters(setup);
        Assert.Equal(chosen, parameters.Single(p => p.Name == "dial").Default);
    }

    [Fact]
    public void An_expo_curve_is_the_cubic_through_its_points()
    {
        var setup = Demo.Plain.ReadyMade("expo-curve", ("channel", "roll"), ("expo", "40"), ("points", "9"));
        var rig = new ModelRig(setup);
        foreach (var x in new[] { -100.0, -75, -50, -25, 0, 25, 50, 75, 100 })
        {
            var wanted = 100 * ((0.6 * x / 100) + (0.4 * Math.Pow(x / 100, 3)));
            // The points lie on the transmitter's grid of 0.1 %.
            Assert.Equal(wanted, rig.Put("roll", x).Values("roll")[2], 0.051);
        }
    }

    [Fact]
    public void Two_stage_arming_is_refused_where_the_low_end_would_pass_the_centre()
    {
        var (built, arguments) = Try(Demo.Plain, "two-stage-arming", ("second", "right-shoulder:2"), ("limit", "1495"));
        Assert.Null(built);
        Assert.Contains(
            "not below the channel's centre",
            Assert.Single(arguments.Problems).Reason,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_straightened_switch_keeps_the_steps_that_were_there_after_it()
    {
        var setup = Demo
            .Plain.WithChannel("beeper", c => c with { Take = Hand("right-dial") })
            .WithStep("beeper", "turn", new ScaleStep { Order = 1, Scale = new Percent(-100) })
            .ReadyMade(
                "straighten-switch",
                ("switch", "left-front-inner"),
                ("channel", "beeper"),
                ("measured", "-90 5 90"),
                ("wanted", "-100 0 100")
            );
        Assert.Equal(["straighten", "turn"], setup.Model.Channels["beeper"].OrderedSteps.Select(s => s.Key));
        var rig = new ModelRig(setup);
        Assert.Equal([100, 0, -100], new[] { 1.0, 2, 3 }.Select(p => rig.Put("left-front-inner", p).Value("beeper")));
        Assert.DoesNotContain(Examination.Of(setup), f => f.Severity == Severity.Danger && f.Station == Station.Model);
    }

    // A transmitter that is bare but for its sticks has nothing to choose: what is asked stands empty, and building says what is missing.
    [Fact]
    public void On_bare_sticks_every_chain_still_says_what_it_asks()
    {
        var bare = NewSetup.For(
            "Tern",
            Demo.Plain.Transmitter with
            {
                Controls = Demo.Plain.Transmitter.Controls.RemoveRange(
                    Demo.Plain.Transmitter.Controls.Where(c => c.Value is not StickControl).Select(c => c.Key)
                ),
            }
        );
        foreach (var chain in ReadyMadeChains.All)
        {
            Assert.All(
                chain.Parameters(bare).Where(p => p.Kind is ParameterKind.Control or ParameterKind.Positions),
                p => Assert.Equal((true, ""), (p.Options.Count == 0, p.Default))
            );
            var (built, arguments) = Build.Try(bare, chain.Id);
            Assert.True(
                built is null || arguments.Problems.Count > 0 || SetupValidator.Check(built.Setup).Count == 0,
                chain.Id
            );
        }
    }
}
