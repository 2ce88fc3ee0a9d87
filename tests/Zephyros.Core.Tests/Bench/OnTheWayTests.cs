using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Path.Trace;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Bench;

/// <summary>What was sent and what arrived are two things, each true at its own time: air and wire never run ahead of the board.</summary>
public sealed class OnTheWayTests
{
    [Fact]
    public void A_movement_is_at_the_model_at_once_and_on_air_and_wire_with_the_next_frame()
    {
        var bench = Settled(Demo.Plain);
        var before = Figures(bench);
        bench.Move("throttle", 50);
        var moved = Figures(bench);
        Assert.NotEqual(before[1], moved[1]);
        Assert.Equal(before[2..], moved[2..]);
        bench.AdvanceTo(bench.Now + Demo.Plain.Wire.FramePeriod.ToTimeSpan());
        var arrived = Figures(bench);
        Assert.Equal(moved[1], arrived[1]);
        // The board says which axis it takes the channel for, whatever its value.
        foreach (var station in new[] { Station.Air, Station.Wire, Station.Craft })
            Assert.NotEqual(before[(int)station], arrived[(int)station]);
    }

    [Theory]
    [InlineData(ReceiverLoss.Silent, "no packets arrive", "the receiver sends nothing")]
    [InlineData(ReceiverLoss.Hold, "no packets arrive", "the receiver goes on without packets")]
    [InlineData(ReceiverLoss.Preset, "no packets arrive", "the receiver goes on without packets")]
    public void Without_packets_nothing_is_on_air_and_on_the_wire_what_the_receiver_makes_of_it(
        ReceiverLoss loss,
        string air,
        string wire
    )
    {
        var setup = Demo.Plain.WithAir(a =>
            a with
            {
                OnLoss = loss,
                Presets = a.Presets.SetItem(new(3), new Microseconds(1100)),
            }
        );
        var bench = Settled(setup);
        bench.Move("throttle", -20);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
        var held = Figures(bench)[3];
        bench.SetLink(false);
        bench.Move("throttle", 50);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        var stops = bench.Snapshot("throttle").Trace.Stops;
        Assert.Equal(air, stops[2].Note);
        Assert.EndsWith(wire, stops[3].Note, StringComparison.Ordinal);
        if (loss == ReceiverLoss.Hold)
            Assert.Equal(held, Figures(bench)[3]);
        if (loss == ReceiverLoss.Preset)
            Assert.StartsWith("= 1100 µs", stops[3].Note, StringComparison.Ordinal);
    }

    [Fact]
    public void A_receiver_without_power_sends_nothing_and_one_that_has_just_got_it_has_heard_nothing_yet()
    {
        var bench = Settled(Demo.Plain);
        bench.SetPower(false);
        Assert.Equal("the receiver has no power", bench.Snapshot("throttle").Trace.Stops[3].Note);
        bench.SetPower(true);
        Assert.Equal(
            ["no packets arrive", "no frame has come yet"],
            bench.Snapshot("throttle").Trace.Stops.Skip(2).Take(2).Select(s => s.Note)
        );
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
        Assert.DoesNotContain(bench.Snapshot("throttle").Trace.Stops, s => s.Mark == TraceMark.Ended);
        // Another wire is a new one, whether the craft has power or gets it later.
        var other = Demo.Plain with
        {
            Wire = Demo.Plain.Wire with { FramePeriod = new(11) },
        };
        bench.Replace(other);
        Assert.Equal("no frame has come yet", bench.Snapshot("throttle").Trace.Stops[3].Note);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
        bench.SetPower(false);
        bench.Replace(Demo.Plain);
        bench.SetPower(true);
        Assert.Equal("no frame has come yet", bench.Snapshot("throttle").Trace.Stops[3].Note);
    }

    // Far beyond the range nothing comes by radio; one that holds has nothing to hold, so the board sees no centred sticks.
    [Theory]
    [InlineData(ReceiverLoss.Silent, false)]
    [InlineData(ReceiverLoss.Hold, false)]
    [InlineData(ReceiverLoss.Preset, true)]
    public void A_receiver_that_gets_power_out_of_range_sends_only_what_it_has(ReceiverLoss loss, bool sends)
    {
        var bench = Settled(Demo.Plain.WithAir(a => a with { OnLoss = loss }));
        bench.SetDistance(new Kilometres(10_000));
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        bench.SetPower(false);
        bench.SetPower(true);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        Assert.Equal(sends, bench.Board.HasSignal);
        Assert.Equal(sends, bench.Snapshot("throttle").Trace.Stops[3].Figure != "–");
    }

    // At the edge of the range most packets are lost; wire and board still show the same packet at every moment.
    [Fact]
    public void A_lost_packet_shows_on_air_and_never_only_at_the_board()
    {
        var bench = Settled(Demo.Plain);
        bench.SetDistance(new Kilometres(30));
        var late = 0;
        for (var i = 0; i < 400; i++)
        {
            bench.Move("roll", (i % 100) - 50);
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(7));
            var picture = bench.Snapshot("roll");
            if (picture.Trace.Stops[3].Mark == TraceMark.Ended || picture.Trace.Stops[2].Mark == TraceMark.Ended)
                continue;
            var count = int.Parse(picture.Trace.Stops[3].Figure, System.Globalization.CultureInfo.InvariantCulture);
            var wire = Demo.Plain.Wire.Format.Describe().ToMicroseconds(count);
            Assert.Equal(picture.Received[0].Value, wire.Value, 1.0);
            late += Math.Abs(picture.Sent[0].Value - picture.Received[0].Value) > 1 ? 1 : 0;
        }

        Assert.True(late > 0, "no packet was lost");
    }

    private static BenchRun Settled(Setup setup)
    {
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(500));
        return bench;
    }

    private static string[] Figures(BenchRun bench) =>
        [.. bench.Snapshot("throttle").Trace.Stops.Select(s => s.Figure)];
}
