using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.States;

namespace Zephyros.Core.Tests.Path;

public sealed class StateTableTests
{
    // No condition compares the dial itself, so only its ends and its middle are tried.
    [Theory]
    [InlineData(-99.5, true, "−100 %")]
    [InlineData(99.5, false, "+100 %")]
    public void A_state_that_only_an_end_of_a_dial_reaches_is_reached(double limit, bool below, string end)
    {
        var channel = new ChannelSource { Channel = "beeper" };
        var setup = Demo
            .Plain.WithChannel("beeper", c => c with { Take = Build.Hand("left-dial") })
            .WithCondition("end", below ? Build.Below(channel, limit) : Build.Above(channel, limit))
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
                                When = "end",
                            }
                        ),
                }
            );
        var row = Assert.Single(StateTable.Of(SignalPlan.Compile(setup)).Rows);
        Assert.Contains(end, row.Reached, StringComparison.Ordinal);
    }
}
