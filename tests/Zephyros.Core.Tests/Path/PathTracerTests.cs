using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Path.Trace;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Path;

public sealed class PathTracerTests
{
    private static readonly BoardState Receiving = new(
        true,
        BoardSignal.Good,
        false,
        false,
        ArmRefusal.None,
        MotorLevel.Off
    );

    [Fact]
    public void The_story_of_the_throttle_that_arrives_as_roll()
    {
        var trace = Follow(Demo.Sandpiper, "throttle", 40);
        Assert.Equal(["+40 %", "1704.8 µs", "1704.8 µs", "1320 count", "roll", "205 °/s right"], Figures(trace));
        Assert.Equal("map A E T R reads channel 1", trace.Stops[4].Note);
        Assert.Equal(
            [TraceMark.Live, TraceMark.Live, TraceMark.Live, TraceMark.Live, TraceMark.Wrong, TraceMark.Wrong],
            trace.Stops.Select(s => s.Mark)
        );
        Assert.Contains("1500 + 5.12 × 40 = 1704.8 µs", trace.Stops[1].Working);
        Assert.Contains("(1704.8 − 880) / 0.625 = 1319.68", trace.Stops[3].Working);
        Assert.StartsWith("= 1705 µs", trace.Stops[3].Note, StringComparison.Ordinal);
    }

    [Fact]
    public void The_arm_switch_reaches_its_function()
    {
        var trace = Follow(Demo.Plain, "left-shoulder", 2);
        Assert.Equal(["far", "2012.0 µs", "2012.0 µs", "1811 count", "Arm", "disarmed"], Figures(trace));
    }

    [Fact]
    public void The_arm_switch_on_a_channel_that_the_board_does_not_watch_goes_wrong_there()
    {
        var trace = Follow(Demo.Gannet, "left-shoulder", 2);
        Assert.Equal((TraceMark.Wrong, "nothing listens on AUX 1"), (trace.Stops[4].Mark, trace.Stops[4].Note));
    }

    [Fact]
    public void What_the_link_makes_of_a_value_is_said_in_the_air()
    {
        var stepped = Demo.Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(6), 2) });
        var stops = Follow(stepped, "right-front-inner", 2).Stops;
        Assert.Equal("The link gives this channel 2 steps: 1500 µs arrives as 2012 µs.", stops[2].Working[0]);
        Assert.Equal("2012.0", stops[2].Figure);
        Assert.Equal("1811", stops[3].Figure);
        var quality = Demo.Plain.WithAir(a => a with { Receiver = a.Receiver with { QualityOn = 6 } });
        Assert.StartsWith(
            "The receiver puts the signal quality here",
            Follow(quality, "right-front-inner", 2).Stops[2].Working[0],
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void The_working_shows_every_step_and_the_override_that_holds()
    {
        var setup = Demo.Plain.ReadyMade("throttle-limiter", ("dial", "left-dial"), ("lowest", "60"));
        setup = setup.ReadyMade("throttle-cut", ("cut", "right-back-switch:1"));
        var model = Follow(setup, "throttle", 50).Stops[1];
        Assert.Equal(
            [
                "Take Throttle: +50 %",
                "× 100 %: +50 %",
                "Shift by +100 %: +150 %",
                "Multiply by Left dial × 20 % +80 %: +120 %",
                "Shift by −100 %: +20 %",
                "Output ends −97.6 % and +97.6 %, centre 0 %: +19.5 %",
                "Forced by “Throttle cut” while Cut held: −100 %",
                "1500 + 5.12 × −100 = 988 µs",
            ],
            model.Working
        );
        Assert.EndsWith("· forced", model.Note, StringComparison.Ordinal);
    }

    [Fact]
    public void A_control_that_no_channel_takes_ends_in_the_model()
    {
        var trace = Follow(Demo.Plain, "right-button", 1);
        Assert.Equal("held", trace.Stops[0].Figure);
        Assert.All(trace.Stops.Skip(1), stop => Assert.Equal(TraceMark.Ended, stop.Mark));
    }

    [Fact]
    public void A_channel_beyond_the_links_count_ends_in_the_air()
    {
        var setup = Demo.Plain with { Air = Demo.Plain.Air with { Channels = 4 } };
        var trace = Follow(setup, "left-shoulder", 2);
        Assert.Equal((TraceMark.Wrong, "only channels 1 to 4 are carried"), (trace.Stops[2].Mark, trace.Stops[2].Note));
    }

    [Fact]
    public void Without_signal_nothing_arrives_at_the_board()
    {
        var trace = Follow(Demo.Plain, "throttle", 0, Receiving with { Signal = BoardSignal.None });
        Assert.Equal("no good frames arrive", trace.Stops[4].Note);
    }

    [Fact]
    public void A_lost_link_breaks_the_path_in_the_air_whatever_the_receiver_goes_on_sending()
    {
        var plan = SignalPlan.Compile(Demo.Plain);
        var values = plan.With("throttle", 40);
        var way = new OnTheWay(values.Sent, values.Counts, Packets: false, "");
        var stops = new PathTracer(plan, values, way, Receiving, values.Received).Follow("throttle").Stops;
        Assert.Equal(
            [TraceMark.Live, TraceMark.Live, TraceMark.Ended, TraceMark.Ended, TraceMark.Ended, TraceMark.Ended],
            stops.Select(s => s.Mark)
        );
        Assert.EndsWith("the receiver goes on without packets", stops[3].Note, StringComparison.Ordinal);
    }

    // The limit of the plain craft is 1010 µs, and below it nothing refuses.
    [Theory]
    [InlineData(false, MotorLevel.Off, -100, "once it is armed; low enough to arm")]
    [InlineData(false, MotorLevel.Off, -95, "once it is armed; not low, so it refuses to arm")]
    [InlineData(true, MotorLevel.Off, -100, "armed, the motors stand")]
    [InlineData(true, MotorLevel.Idle, -100, "armed, the motors idle")]
    [InlineData(true, MotorLevel.Thrust, 40, "armed, the motors turn")]
    public void Craft_and_arming_agree_about_the_throttle(bool armed, MotorLevel motors, double stick, string note) =>
        Assert.Equal(
            note,
            Follow(Demo.Plain, "throttle", stick, Receiving with { Armed = armed, Motors = motors }).Stops[5].Note
        );

    [Fact]
    public void Full_stick_is_held_at_the_maximum_rate()
    {
        var trace = Follow(Demo.Gannet, "roll", -100);
        Assert.Equal("720 °/s left", Figures(trace)[5]);
        Assert.Contains("held at −720 °/s", trace.Stops[5].Working[0], StringComparison.Ordinal);
    }

    [Fact]
    public void Each_position_of_a_switch_is_a_cell_with_what_it_does()
    {
        var rows = ControlRows.Of(SignalPlan.Compile(Demo.ArmOnThreePositions(1300, 2100)));
        var cells = rows.Single(r => r.Control == "left-front-outer").Cells;
        Assert.Equal(
            [("safe", 988.125, 0), ("mid", 1500, 1), ("far", 2011.875, 1)],
            cells.Select(c => (c.Name, c.Received.Value, c.Functions.Count))
        );
    }

    // A channel that takes the dial, one that takes that channel, and one of a lower number on which the dial only decides.
    [Fact]
    public void Channels_that_a_control_reaches_as_a_value_come_before_those_where_it_decides()
    {
        var setup = Demo
            .Plain.WithChannel("beeper", c => c with { Take = Build.Hand("right-dial") })
            .WithChannel(
                "mode",
                c =>
                    c with
                    {
                        Number = new ChannelNumber(16),
                        Take = new ChannelSource { Channel = "beeper" },
                    }
            )
            .WithCondition("up", Build.Above(Build.Hand("right-dial"), 50))
            .WithOverride("roll", "up", 0);
        Assert.Equal(["beeper", "mode", "roll"], SignalPlan.Compile(setup).ChannelsOf("right-dial").Select(c => c.Id));
    }

    private static string[] Figures(PathTrace trace) => [.. trace.Stops.Select(s => $"{s.Figure} {s.Unit}".TrimEnd())];

    private static PathTrace Follow(Setup setup, string control, double setting, BoardState? board = null)
    {
        var plan = SignalPlan.Compile(setup);
        var values = plan.With(control, setting);
        // Everything has arrived.
        var way = new OnTheWay(values.Sent, values.Counts, true, "");
        return new PathTracer(plan, values, way, board ?? Receiving, values.Received).Follow(control);
    }
}
