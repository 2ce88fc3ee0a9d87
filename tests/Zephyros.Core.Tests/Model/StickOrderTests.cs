using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

public sealed class StickOrderTests
{
    [Fact]
    public void There_are_24_orders_and_each_is_its_own_inverse_of_its_inverse()
    {
        Assert.Equal(24, StickOrder.All.Distinct().Count());
        foreach (var order in StickOrder.All)
        {
            Assert.All(StickAxes.All, axis => Assert.Equal(axis, order.AxisOf(order.ChannelOf(axis))));
            Assert.All(
                Enumerable.Range(1, 4),
                n => Assert.Equal(n, order.ChannelOf(order.AxisOf(new ChannelNumber(n))).Value)
            );
            Assert.Equal(order, StickOrder.Parse(order.ToString()));
        }
    }

    [Theory]
    [InlineData("AETT", "the letter T twice")]
    [InlineData("AETX", "\"X\"")]
    [InlineData("aetr", "\"a\"")]
    [InlineData("AET", "four letters")]
    [InlineData("", "four letters")]
    [InlineData(null, "four letters")]
    public void Other_texts_are_refused_with_the_reason(string? text, string reason)
    {
        Assert.False(StickOrder.TryParse(text, out _, out var problem));
        Assert.Contains(reason, problem, StringComparison.Ordinal);
    }

    [Fact]
    public void Sending_the_boards_order_is_right_for_all_24_times_24()
    {
        foreach (var sent in StickOrder.All)
        {
            var model = ChannelOrder.Reorder(Demo.Sandpiper.Model, Demo.Sandpiper.Transmitter, sent)!;
            Assert.Equal(sent, ChannelOrder.Of(model, Demo.Sandpiper.Transmitter));
            foreach (var map in StickOrder.All)
            {
                var again = ChannelOrder.Reorder(model, Demo.Sandpiper.Transmitter, map)!;
                Assert.Equal(map, ChannelOrder.Of(again, Demo.Sandpiper.Transmitter));
            }
        }
    }

    [Fact]
    public void Endpoints_move_with_what_the_channel_carries()
    {
        var setup = Demo.Sandpiper.WithChannel(
            "throttle",
            c => c with { Output = c.Output with { Low = new Percent(-84) } }
        );
        var model = ChannelOrder.Reorder(setup.Model, setup.Transmitter, StickOrder.Parse("AETR"))!;
        Assert.Equal(
            (3, -84.0),
            (model.Channels["throttle"].Number.Value, model.Channels["throttle"].Output.Low.Value)
        );
        Assert.Equal(-100, model.Channels["roll"].Output.Low.Value);
    }

    [Fact]
    public void A_model_that_does_not_send_all_sticks_has_no_order()
    {
        var setup = Demo.Sandpiper.WithChannel(
            "yaw",
            c => c with { Take = new ControlSource { Control = "left-dial" } }
        );
        Assert.Null(ChannelOrder.Of(setup.Model, setup.Transmitter));
        Assert.Null(ChannelOrder.Reorder(setup.Model, setup.Transmitter, StickOrder.Parse("AETR")));
    }
}
