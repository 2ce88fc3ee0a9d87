using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Path;

/// <summary>What is planned on each channel, what survives the link, and how long it takes.</summary>
public sealed class ChannelBudgetTests
{
    [Fact]
    public void Every_channel_that_arrives_or_is_planned_has_a_row()
    {
        var plain = Demo.Plain.WithAir(a => a with { Channels = 6 });
        var rows = Rows(plain);
        var last = plain.Model.Channels.Values.Max(c => c.Number.Value);
        Assert.Equal(Enumerable.Range(1, last), rows.Select(r => r.Channel.Value));
        Assert.All(rows, r => Assert.Equal(r.Channel.Value <= 6, r.Arrives));
        Assert.Equal(("Arm", "Arm"), (rows[4].Feeds, Assert.Single(rows[4].Functions)));
    }

    // A scale of 5.12 us on one percent (common practice, no source) makes a travel of 1024 us: five steps of 204.8 us lie between six
    // values, one of 1024 us between two.
    [Theory]
    [InlineData(6, 204.8)]
    [InlineData(2, 1024)]
    [InlineData(3, 512)]
    public void Steps_are_spread_over_the_travel(int steps, double apart)
    {
        var row = Rows(Stepped(steps))[5];
        Assert.Equal((steps, apart), (row.Steps, Math.Round(row.Resolution.Value, 6)));
    }

    // Three positions at -100, 0 and 100 %: two steps leave two of them alike, three steps leave all.
    [Fact]
    public void Positions_that_a_link_merges_are_named()
    {
        var lost = Assert.Single(Rows(Stepped(2))[5].Lost);
        Assert.Matches("^Right front, inner: (safe and mid both as 98|mid and far both as 201)", lost);
        Assert.Empty(Rows(Stepped(3))[5].Lost);
        Assert.Empty(Rows(Demo.Plain)[5].Lost);
    }

    [Fact]
    public void The_channel_with_the_signal_quality_is_marked()
    {
        var rows = Rows(Demo.Plain.WithAir(a => a with { Receiver = a.Receiver with { QualityOn = 9 } }));
        Assert.Equal(9, Assert.Single(rows, r => r.Quality).Channel.Value);
    }

    // 250 packets a second are 4 ms apart; a Packed 16 frame of 25 bytes, each of 12 bits at 100 000 a second, takes 3 ms (common
    // practice, no source); frames come every 7 ms.
    [Fact]
    public void The_time_from_stick_to_board_is_the_sum_of_its_parts()
    {
        var setup = Demo.Plain.WithAir(a => a with { PacketRate = new Hertz(250) }) with
        {
            Wire = new WireSettings { Format = WireFormat.Packed16, FramePeriod = new Milliseconds(7) },
        };
        Assert.Equal([4, 7, 3, 1], LatencyBudget.Of(setup).Select(p => Math.Round(p.AtMost.Value, 6)));
        Assert.Equal("Waits for the next frame", LatencyBudget.Of(setup)[1].Name);
        // Where the channels come in two frames, one may wait for both.
        var burst = setup with
        {
            Wire = new WireSettings { Format = WireFormat.Burst7, FramePeriod = new Milliseconds(11) },
        };
        Assert.Equal(22, LatencyBudget.Of(burst)[1].AtMost.Value);
        Assert.Equal("Waits for the frame that carries it, one of 2", LatencyBudget.Of(burst)[1].Name);
    }

    private static Setup Stepped(int steps) =>
        Demo.Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.SetItem(new(6), steps) });

    private static IReadOnlyList<BudgetRow> Rows(Setup setup) => ChannelBudget.Of(SignalPlan.Compile(setup));
}
