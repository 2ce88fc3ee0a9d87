using CsCheck;
using Zephyros.Core.Model;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Model;

public sealed class ModelPropertyTests
{
    [Fact]
    public void Reversing_twice_changes_nothing()
    {
        var stage = new OutputStage
        {
            Low = new Percent(-120),
            Centre = new Percent(7),
            High = new Percent(140),
        };
        var through = new ChannelSource { Channel = "arm" };
        var turn = new ScaleStep { Order = 50, Scale = new Percent(-100) };
        Gen.Double[-100, 100]
            .Sample(dial =>
            {
                var plain = OnDial().WithChannel("arm", c => c with { Output = stage });
                // Once by a step of the chain and once by the output stage.
                var twice = plain
                    .WithStep("arm", "turn", turn)
                    .WithChannel("arm", c => c with { Output = stage with { Reverse = true } });
                // Through another channel that turns it as well.
                var relayed = plain
                    .WithStep("arm", "turn", turn)
                    .WithChannel("mode", c => c with { Take = through, Output = stage })
                    .WithStep("mode", "turn", turn);
                var expected = new ModelRig(plain).Put("left-dial", dial).Value("arm");
                Assert.Equal(expected, new ModelRig(twice).Put("left-dial", dial).Value("arm"), 9);
                Assert.Equal(expected, new ModelRig(relayed).Put("left-dial", dial).Value("mode"), 9);
            });
    }

    [Fact]
    public void A_latch_is_the_reference_automaton() =>
        Gen.Select(Gen.Bool, Gen.Bool)
            .Array[1, 60]
            .Sample(
                inputs =>
                {
                    var setup = Demo.Plain.WithCondition(
                        "kept",
                        Latch(At("right-shoulder", 2), At("left-back-switch", 2))
                    );
                    var rig = new ModelRig(setup);
                    // Off at switch-on; reset dominates, as in the RS block of IEC 61131-3 (from memory): Q = not R and (S or Q).
                    var q = false;
                    foreach (var (set, reset) in inputs)
                    {
                        rig.Put("right-shoulder", 1).Put("left-back-switch", 1);
                        q = Move(rig, q, "left-back-switch", reset, isReset: true);
                        q = Move(rig, q, "right-shoulder", set, isReset: false, other: reset);
                        Assert.Equal(q, rig.Holds("kept"));
                    }
                },
                iter: Iterations.Of(300)
            );

    [Fact]
    public void Compiling_again_gives_the_same_values()
    {
        var (one, other) = (new ModelRig(Demo.Sandpiper), new ModelRig(Demo.Sandpiper));
        Assert.Equal(one.Put("throttle", 33).Sent, other.Put("throttle", 33).Sent);
    }

    [Fact]
    public void A_cycle_takes_what_the_rest_gave_before_and_is_evaluated_all_the_same()
    {
        // Each step the condition turns round: it asks for its own opposite.
        var rig = new ModelRig(Demo.Plain.WithCondition("blink", Not(Holds("blink"))));
        var seen = Enumerable.Range(0, 4).Select(_ => rig.Pass(10).Holds("blink")).ToArray();
        Assert.Equal([seen[0], !seen[0], seen[0], !seen[0]], seen);
    }

    private static bool Move(ModelRig rig, bool q, string control, bool on, bool isReset, bool other = false)
    {
        rig.Put(control, on ? 2 : 1);
        return isReset ? q && !on : !other && (on || q);
    }
}
