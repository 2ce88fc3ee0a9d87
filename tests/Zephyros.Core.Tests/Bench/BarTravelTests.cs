using Zephyros.Core.Bench;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

public sealed class BarTravelTests
{
    // Pushed up, pulled down, and let go where it is: a stick with a spring stands at its centre then.
    [Theory]
    [InlineData(StickAxis.Throttle, 1500)]
    [InlineData(StickAxis.Roll, 1490)]
    public void The_centre_is_where_a_spring_leaves_the_stick_or_halfway(StickAxis axis, double centre)
    {
        BarTravel? bar = null;
        foreach (var shown in new[] { 1200.0, 2000, 1000, 1490 })
            bar = BarTravel.Of(bar, axis, new ChannelNumber(1), new Microseconds(shown));
        Assert.Equal((1490, 1000, 2000, centre), (bar!.Now.Value, bar.Low.Value, bar.High.Value, bar.Centre.Value));
    }

    [Fact]
    public void Every_axis_but_the_throttle_springs_back() =>
        Assert.Equal([StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw], StickAxes.All.Where(a => a.Springs()));

    // A board shows whole microseconds: 1.4 is shown as 1, 1.6 as 2.
    [Theory]
    [InlineData(1.4, true)]
    [InlineData(-1.4, true)]
    [InlineData(1.6, false)]
    [InlineData(-1.6, false)]
    public void A_position_lies_as_planned_as_exactly_as_a_board_shows_it(double off, bool lies)
    {
        var seen = new PositionSeen
        {
            Control = "x",
            Setting = 1,
            Channel = new ChannelNumber(5),
            Value = new Microseconds(1500),
        };
        var position = new MeasuredPosition(seen, "X", new(1500), new(off), [], [], null);
        Assert.Equal(lies, position.LiesAsPlanned);
    }
}
