using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Captures;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure;
using Zephyros.Core.Measure.BesidePlan;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Captures;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Measure;

/// <summary>Plan, recording and readings of each channel. The "real" craft is a setup that differs from the plan in one thing.</summary>
public sealed class PlanComparisonTests
{
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void What_is_as_planned_parts_nowhere_and_every_place_is_seen(string id)
    {
        var setup = Demo.Load(id);
        var compared = Compare(setup, real: setup, board: setup);
        Assert.Equal("", compared.Problem);
        Assert.All(compared.Channels, c => Assert.True(c.Parts is null, c.Why));
        var points = compared.Channels.SelectMany(c => c.Points).ToArray();
        Assert.InRange(points.Length, 11 + 5, 60);
        Assert.All(points, p => Assert.True(p is { Wire: not null, Board: not null, Parts: null }));
    }

    // A transmitter whose channel has other ends, one channel after the other; a stick and a switch unless there is time for all.
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void Other_ends_at_the_transmitter_part_on_the_way_to_the_wire_on_that_channel_alone(string id)
    {
        var plan = Demo.Load(id);
        foreach (
            var planned in Compare(plan, plan, plan)
                .Channels.Where(c => c.Points.Count > 0)
                .Skip(3)
                .Take((int)Iterations.Of(2))
        )
        {
            var key = plan.Model.Channels.Single(c => c.Value.Number == planned.Channel).Key;
            var real = plan.WithChannel(key, c => c with { Output = c.Output with { Low = new(-71), High = new(71) } });
            var compared = Compare(plan, real, real);
            Assert.Equal([planned.Channel], compared.Channels.Where(c => c.Parts is not null).Select(c => c.Channel));
            var channel = compared.Channels.Single(c => c.Channel == planned.Channel);
            Assert.Equal(Station.Air, channel.Parts);
            Assert.Matches("on the wire \\(−?(69|7[01]).*%\\); planned are", channel.Why);
        }
    }

    [Fact]
    public void The_first_place_is_told_when_several_differ()
    {
        var plan = Demo.Plain;
        var real = plan.WithChannel("roll", c => c with { Output = c.Output with { Reverse = true } });
        var roll = On(1, Compare(plan, real, Spanned(real)));
        Assert.Equal((Station.Air, "On the wire roll runs the other way than planned."), (roll.Parts, roll.Why));

        // With the wire as planned, it is the board.
        roll = On(1, Compare(plan, plan, Spanned(plan)));
        Assert.Equal(Station.Board, roll.Parts);
        Assert.Equal("At lowest, 1000 µs come and the board shows 1012 µs; planned are 1000 µs.", roll.Why);
        Assert.Equal([Station.Board, null, Station.Board], roll.Points.Select(p => p.Parts));

        // Without a recording it cannot be told.
        roll = On(1, Compare(plan, null, Spanned(plan)));
        Assert.EndsWith("would tell whether that happens before the board.", roll.Why, StringComparison.Ordinal);
        Assert.All(roll.Points, p => Assert.Null(p.Wire));
    }

    [Fact]
    public void Order_and_direction_part_where_they_are_changed()
    {
        var plan = Demo.Plain;
        var order = plan with { Model = ChannelOrder.Reorder(plan.Model, plan.Transmitter, StickOrder.Parse("TAER"))! };
        Assert.Equal(
            (
                Station.Air,
                "Moving roll, channel 2 answers on the wire: the transmitter does not send the planned order."
            ),
            Parting(On(1, Compare(plan, order, order)))
        );
        var map = plan.WithBoard(b => b with { Map = StickOrder.Parse("TAER") });
        Assert.Equal(
            (Station.Board, "Moving roll, the board's throttle answers, not its roll."),
            Parting(On(1, Compare(plan, plan, map)))
        );
        var reversed = plan.WithChannel("yaw", c => c with { Output = c.Output with { Reverse = true } });
        Assert.Equal(
            (
                Station.Board,
                "At the board yaw runs the other way than planned. A recording of the wire would tell whether that happens before the board."
            ),
            Parting(On(4, Compare(plan, null, reversed)))
        );
    }

    [Fact]
    public void A_switch_that_gives_something_else_parts_at_that_position()
    {
        var plan = Demo.Plain;
        var positions = SimulatedMeasurement
            .Positions(SignalPlan.Compile(plan))
            .Select(p => p.Channel.Value == 5 && p.Setting == 2 ? p with { Value = new(1700), Jitter = new(4) } : p);
        var arm = On(
            5,
            PlanComparison.Of(
                SignalPlan.Compile(plan),
                Recorded(plan),
                BoardReadings.None with
                {
                    Positions = [.. positions],
                }
            )
        );
        Assert.Equal(
            (Station.Board, "At far, 2012 µs come and the board shows 1700 µs; planned are 2012 µs."),
            Parting(arm)
        );
    }

    [Fact]
    public void What_is_planned_on_the_way_is_said_and_is_no_fault()
    {
        var steps = Demo.Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(6), 2) });
        Assert.Equal((null, "The link has 2 steps on this channel."), Parting(On(6, Compare(steps, steps, steps))));
        var few = Demo.Plain.WithAir(a => a with { Channels = 5 });
        Assert.Equal((null, "Only channels 1 to 5 are carried."), Parting(On(6, Compare(few, few, few))));
        var spans = Spanned(Demo.Plain);
        Assert.Equal((null, ""), Parting(On(1, Compare(spans, spans, spans))));
    }

    [Fact]
    public void A_recording_in_another_order_tells_only_what_it_can()
    {
        var plan = SignalPlan.Compile(Demo.Plain);
        var recording = Recognised.As(ReceiverRecording.Of(Demo.Plain, RecordingFault.None));
        var compared = PlanComparison.Of(plan, recording, BoardReadings.None);
        Assert.StartsWith("The recording ends while the routine waits for", compared.Problem, StringComparison.Ordinal);
        Assert.All(compared.Channels.SelectMany(c => c.Points), p => Assert.Null(p.Parts));
    }

    private static (Station? Parts, string Why) Parting(MeasuredChannel channel) => (channel.Parts, channel.Why);

    private static MeasuredChannel On(int channel, MeasuredComparison compared) =>
        compared.Channels.Single(c => c.Channel.Value == channel);

    private static Setup Spanned(Setup setup) =>
        setup.WithBoard(b =>
            b with
            {
                Spans = b.Spans.SetItem(StickAxis.Roll, new ChannelSpan { Low = new(988), High = new(2012) }),
            }
        );

    // The wire of one craft and the board of another, beside a plan.
    private static MeasuredComparison Compare(Setup plan, Setup? real, Setup board) =>
        PlanComparison.Of(
            SignalPlan.Compile(plan),
            real is null ? null : Recorded(real),
            SimulatedMeasurement.Readings(SignalPlan.Compile(board))
        );

    private static CaptureVerdict Recorded(Setup setup) => Recognised.As(ReceiverRecording.OfMeasuring(setup));
}
