using CsCheck;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Model;

public sealed class ModelPlanTests
{
    // Common practice, no source: scale 200 %, shift -100 turns 0..100 into full range; 91 -> +82.
    [Theory]
    [InlineData(0, -100)]
    [InlineData(50, 0)]
    [InlineData(91, 82)]
    public void Scale_and_shift_put_a_signal_onto_a_channel(double signal, double percent)
    {
        var channel = Dial(
            new ScaleStep
            {
                Order = 1,
                Scale = new Percent(200),
                Shift = new Percent(-100),
            },
            new OutputStage()
        );
        Assert.Equal(percent, Evaluate(channel, signal).Slots[^1], 9);
    }

    [Theory]
    [InlineData(-100, -84)]
    [InlineData(0, 10)]
    [InlineData(100, 90)]
    [InlineData(-50, -37)]
    [InlineData(50, 50)]
    public void The_output_stage_runs_straight_from_end_to_centre_to_end(double value, double percent)
    {
        var stage = new OutputStage
        {
            Low = new Percent(-84),
            Centre = new Percent(10),
            High = new Percent(90),
        };
        Assert.Equal(percent, Evaluate(Dial(null, stage), value).Slots[^1], 9);
        // Turned round, the opposite value gives the same; the ends stay where they are.
        Assert.Equal(percent, Evaluate(Dial(null, stage with { Reverse = true }), -value).Slots[^1], 9);
    }

    [Fact]
    public void Nothing_passes_the_ends()
    {
        var stage = new OutputStage { Low = new Percent(-120), High = new Percent(140) };
        Gen.Double[-100, 100]
            .Select(Gen.Double[-500, 500])
            .Select(Gen.Double[-500, 500])
            .Sample(
                (valueScale, shift) =>
                {
                    var step = new ScaleStep
                    {
                        Order = 1,
                        Scale = new Percent(valueScale.Item2),
                        Shift = new Percent(shift),
                    };
                    return Evaluate(Dial(step, stage), valueScale.Item1).Slots[^1] is >= -120 and <= 140;
                }
            );
    }

    [Fact]
    public void Steps_run_by_their_order_and_every_value_stays()
    {
        var channel = Dial(null, new OutputStage()) with { };
        channel = channel with
        {
            Steps = channel
                .Steps.Add("later", new ScaleStep { Order = 2, Shift = new Percent(10) })
                .Add("sooner", new ScaleStep { Order = 1, Scale = new Percent(50) }),
        };
        Assert.Equal([40, 20, 30, 30, 30], Evaluate(channel, 40).Slots);
    }

    [Fact]
    public void A_channel_that_nothing_feeds_is_sent_at_its_centre() =>
        Assert.Equal(1500, Evaluate(Dial(null, new OutputStage()), 70).Sent[15]);

    [Fact]
    public void Evaluation_allocates_nothing()
    {
        var rig = new ModelRig(Demo.Sandpiper);
        // The runtime itself may allocate once while it compiles; what a pass allocates shows in every round.
        Assert.Equal(0, Enumerable.Range(0, 3).Min(_ => Allocated(rig)));
    }

    private static long Allocated(ModelRig rig)
    {
        var before = GC.GetAllocatedBytesForCurrentThread();
        for (var i = 0; i < 1000; i++)
            rig.Pass(1);
        return GC.GetAllocatedBytesForCurrentThread() - before;
    }

    private static Channel Dial(ScaleStep? step, OutputStage stage)
    {
        var channel = Demo.Plain.Model.Channels["arm"] with
        {
            Take = new ControlSource { Control = "left-dial" },
            Output = stage,
        };
        return step is null ? channel : channel with { Steps = channel.Steps.Add("scale", step) };
    }

    private static (double[] Slots, IReadOnlyList<double> Sent) Evaluate(Channel channel, double dial)
    {
        var rig = new ModelRig(Demo.Plain.WithChannel("arm", _ => channel)).Put("left-dial", dial);
        return (rig.Values("arm"), rig.Sent);
    }
}
