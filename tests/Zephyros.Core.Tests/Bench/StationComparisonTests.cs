using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Hands;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>Model, wire and board of each channel, and the first place where they part.</summary>
public sealed class StationComparisonTests
{
    [Fact]
    public void Where_all_is_well_nothing_parts()
    {
        var truth = Truth(Demo.Plain);
        Assert.All(truth, t => Assert.Equal((null, ""), (t.Parts, t.Why)));
        Assert.Equal(["roll", "pitch", "throttle", "yaw", "Arm"], truth.Take(5).Select(t => t.Shown));
        // What the model does not send and the board does not look at is left out.
        Assert.All(truth, t => Assert.True(t.Carries.Length > 0 || t.Shown.Length > 0));
    }

    [Fact]
    public void Each_fault_parts_where_it_is()
    {
        Assert.Equal(
            (Station.Board, "The model sends throttle here, and the board takes it for roll."),
            Parting(Truth(Demo.Sandpiper), 1)
        );
        var spans = Demo.Plain.WithBoard(b =>
            b with
            {
                Spans = b.Spans.Add(StickAxis.Roll, new() { Low = new(988), High = new(2012) }),
            }
        );
        Assert.Equal(
            (Station.Board, "The board scales its span 988 to 2012 µs to 1000 to 2000."),
            Parting(Truth(spans, b => b.Move("roll", 100)), 1)
        );
        var steps = Demo.Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(6), 2) });
        Assert.Equal(
            (Station.Air, "The link has 2 steps on this channel."),
            Parting(Truth(steps, b => b.Move("right-front-inner", 2)), 6)
        );
        var few = Demo.Plain.WithAir(a => a with { Channels = 5 });
        Assert.Equal((Station.Air, "Only channels 1 to 5 are carried."), Parting(Truth(few), 6));
        var held = Demo.Plain.WithAir(a => a with { OnLoss = ReceiverLoss.Hold });
        Assert.Equal(
            (Station.Air, "No packets arrive: the receiver repeats the last ones."),
            Parting(
                Truth(
                    held,
                    b =>
                    {
                        b.SetLink(false);
                        b.Move("roll", 100);
                    }
                ),
                1
            )
        );
        var silent = Demo.Plain.WithAir(a => a with { OnLoss = ReceiverLoss.Silent });
        Assert.Equal(Station.Wire, Parting(Truth(silent, b => b.SetLink(false)), 1).Parts);
    }

    private static (Station? Parts, string Why) Parting(IReadOnlyList<ComparedChannel> truth, int channel) =>
        truth.Where(t => t.Channel.Value == channel).Select(t => (t.Parts, t.Why)).Single();

    private static IReadOnlyList<ComparedChannel> Truth(Setup setup, Action<BenchRun>? act = null)
    {
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromSeconds(1));
        act?.Invoke(bench);
        bench.AdvanceTo(TimeSpan.FromSeconds(2));
        return bench.Comparison();
    }
}
