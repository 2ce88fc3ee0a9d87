using CsCheck;
using Zephyros.Core.Findings;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Model;

public sealed class ConditionReachTests
{
    private static readonly DelayTest Lagging = new()
    {
        Of = [At("right-shoulder", 2)],
        OffAfter = new Milliseconds(500),
    };

    // What a test can become: hold and fail.
    public static TheoryData<string, Test, bool, bool> Cases =>
        new()
        {
            { "a position", At("right-shoulder", 2), true, true },
            { "both positions at once", All(At("right-shoulder", 1), At("right-shoulder", 2)), false, true },
            { "any position", Any(At("right-shoulder", 1), At("right-shoulder", 2)), true, false },
            {
                "below and above the same limit",
                All(Below(Hand("left-dial"), 10), Above(Hand("left-dial"), 10)),
                false,
                true
            },
            {
                "on one side or the other, but for the limit itself",
                Any(Below(Hand("left-dial"), 10), Above(Hand("left-dial"), 10)),
                true,
                true
            },
            { "beyond what a stick can give", Above(Hand("throttle"), 100), false, true },
            { "a constant above its limit", Above(Constant(5), 4), true, false },
            { "lost and a reading at once", All(new TelemetryLostTest(), Sensed(10)), false, true },
            { "a reading that the sensor never has", Sensed(5000), false, true },
            {
                "a latch that what clears it never lets on",
                Latch(At("right-shoulder", 2), At("right-shoulder", 2)),
                false,
                true
            },
            { "a latch", Latch(At("right-shoulder", 2), At("right-shoulder", 1)), true, true },
            { "on by a lag after it went off: a pulse", All(Lagging, Not(At("right-shoulder", 2))), true, true },
            {
                "a lag of what never holds",
                Lagging with
                {
                    Of = [At("right-shoulder", 1), At("right-shoulder", 2)],
                },
                false,
                true
            },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void What_can_never_or_always_hold_is_known(string what, Test test, bool canHold, bool canFail)
    {
        var setup = Demo
            .Plain.InModel(m => m with { Sensors = Demo.Sandpiper.Model.Sensors })
            .WithCondition("asked", test);
        Assert.Equal((what, new Reach(canHold, canFail)), (what, Of(setup.Model, "asked")!.Value));
    }

    [Fact]
    public void A_condition_on_a_chain_or_in_a_ring_gets_no_answer()
    {
        var chained = Demo.Plain.WithCondition("q", Above(new ChannelSource { Channel = "arm" }, 0));
        Assert.Null(Of(chained.Model, "q"));
        Assert.Null(Of(Demo.Plain.WithCondition("q", Not(Holds("q"))).Model, "q"));
    }

    // Each condition asks twice for the one before, directly and through memories: written out, the last would have 2^100 parts.
    [Fact]
    public void A_hundred_conditions_that_each_ask_twice_for_the_one_before_are_judged()
    {
        var setup = Demo.Plain.WithCondition("q000", At("right-shoulder", 2));
        for (var i = 1; i < 100; i++)
        {
            var before = Holds($"q{i - 1:000}");
            Test test = (i % 3) switch
            {
                0 => All(before, before),
                1 => Any(Latch(before, Not(before)), before),
                _ => Any(Lagging with { Of = [before, before] }, Lagging with { Of = [before] }),
            };
            setup = setup.WithCondition($"q{i:000}", test);
        }

        Assert.Empty(SetupValidator.Check(setup));
        Assert.Equal(new Reach(true, true), Of(setup.Model, "q003"));
        Assert.Contains(Examination.Of(setup), f => f.Key == "condition-unused:q099");
        Assert.DoesNotContain(
            Examination.Of(setup),
            f => f.Key.StartsWith("condition-stuck", StringComparison.Ordinal)
        );
    }

    // Whatever happens on random models in random hands, no condition does what was said to be impossible.
    [Fact]
    public void Nothing_happens_that_was_called_impossible() =>
        Gen.Int[0, int.MaxValue]
            .Sample(
                seed =>
                {
                    var models = new RandomModels(seed);
                    var setup = models.Make();
                    var reach = new ConditionReach(setup.Transmitter, setup.Model, ModelGraph.Of(setup.Model));
                    var plain = new PlainInterpreter(setup.Transmitter, setup.Model);
                    var inputs = models.AtRest();
                    for (var i = 0; i < 60; i++)
                    {
                        plain.Step(inputs);
                        foreach (var id in setup.Model.Conditions.Keys)
                            if (reach.Of(id) is { } can)
                                Assert.True(plain.Holds(id) ? can.CanHold : can.CanFail, $"{id} at step {i}");
                        inputs = models.Next(inputs);
                    }
                },
                iter: Iterations.Of(200)
            );

    private static Reach? Of(TransmitterModel model, string id) =>
        new ConditionReach(Demo.Plain.Transmitter, model, ModelGraph.Of(model)).Of(id);

    private static SensorTest Sensed(double above) =>
        new()
        {
            Sensor = "distance",
            Relation = Relation.Above,
            Limit = new Reading(above),
        };
}
