using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Path.States;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Path;

public sealed class StateTableTests
{
    // No condition compares the dial itself, so only its ends and its middle are tried.
    [Theory]
    [InlineData(-99.5, true, "−100 %")]
    [InlineData(99.5, false, "+100 %")]
    public void A_state_that_only_an_end_of_a_dial_reaches_is_reached(double limit, bool below, string end) =>
        Assert.Contains(
            end,
            Reached(below ? Build.Below(Beeper, limit) : Build.Above(Beeper, limit)),
            StringComparison.Ordinal
        );

    [Fact]
    public void A_state_in_the_middle_of_a_dials_way_is_reached() =>
        Assert.Contains(
            "+40 %",
            Reached(Build.All(Build.Above(Beeper, 35), Build.Below(Beeper, 45))),
            StringComparison.Ordinal
        );

    [Fact]
    public void A_state_that_a_press_switches_on_is_reached_by_the_press()
    {
        var press = new PressTest
        {
            Control = "left-button",
            AtLeast = new Milliseconds(200),
            Before = new Milliseconds(1000),
        };
        Assert.Equal("Left button held for 0.6 s", Reached(press));
        // Held for long it is no press, so no combination from switch-on sets the latch.
        Assert.Equal("Left button held for 0.6 s", Reached(new LatchTest { Set = [press], Clear = [] }));
    }

    // Nothing is under way yet when the delay begins, and it ends while nobody moves.
    [Fact]
    public void A_state_of_the_first_moment_is_not_always_reached()
    {
        var soon = new DelayTest { Of = [Build.At("right-shoulder", 1)], OnAfter = new Milliseconds(500) };
        var before = Build.All(
            new NotTest { Of = [soon] },
            Build.At("right-shoulder", 1),
            Build.At("left-back-switch", 1)
        );
        Assert.Equal("at switch-on, for a moment", Reached(before));
    }

    [Fact]
    public void A_state_that_waits_for_a_switch_to_come_back_is_reached()
    {
        var latch = new LatchTest { Set = [Build.At("right-shoulder", 2)], Clear = [] };
        var back = Build.All(latch, Build.At("right-shoulder", 1));
        Assert.Equal("Right shoulder far, then Right shoulder safe", Reached(back));
    }

    [Theory]
    [InlineData(true, "telemetry lost")]
    [InlineData(false, "telemetry lost")]
    public void A_state_for_lost_telemetry_is_reached(bool arrives, string way) =>
        Assert.Equal(way, Reached(new TelemetryLostTest(), arrives));

    [Fact]
    public void A_state_that_wants_telemetry_has_no_way_where_the_link_brings_none() =>
        Assert.Null(Reached(new NotTest { Of = [new TelemetryLostTest()] }, telemetry: false));

    private static ChannelSource Beeper { get; } = new() { Channel = "beeper" };

    // How a state is reached that is active while a test holds; the beeper follows a dial.
    private static string? Reached(Test test, bool telemetry = true)
    {
        var setup = Demo
            .Plain.WithChannel("beeper", c => c with { Take = Build.Hand("left-dial") })
            .WithCondition("full", test)
            .InModel(m =>
                m with
                {
                    States = m
                        .States.Clear()
                        .Add(
                            "full",
                            new FlightState
                            {
                                Label = "Full",
                                Order = 1,
                                When = "full",
                            }
                        ),
                }
            );
        setup = setup with { Air = setup.Air with { Telemetry = telemetry } };
        return Assert.Single(StateTable.Of(SignalPlan.Compile(setup)).Rows).Reached;
    }
}
