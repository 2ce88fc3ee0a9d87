using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Values of one cell make the same of everything that is looked at, whatever else stands where: tried on the running model at
/// both ends of each stretch of a dial, and beside them.</summary>
public sealed class CellTests
{
    private const double OneStep = 200.0 / (ProofScope.GridSteps - 1);

    // The dial arms when it is far enough up, and how far that is depends on a switch, by each of the steps that take a condition as a value.
    public static TheoryData<string, ChainStep[]> Steps =>
        new()
        {
            { "added", [new AddStep { Order = 1, With = With(Condition, scale: 30) }] },
            { "multiplied", [new MultiplyStep { Order = 1, With = With(Condition, scale: 25, shift: 75) }] },
            {
                "put in its place",
                [
                    new SwitchOverStep
                    {
                        Order = 1,
                        With = With(Condition, scale: 20),
                        When = "lift",
                    },
                    new AddStep { Order = 2, With = With(Hand("left-dial"), scale: 70) },
                ]
            },
            {
                "let through",
                [
                    new ScaleStep
                    {
                        Order = 1,
                        Shift = new(30),
                        When = "lift",
                    },
                ]
            },
        };

    private static ConditionSource Condition => new() { Condition = "lift" };

    [Theory]
    [MemberData(nameof(Steps))]
    public void No_values_of_a_cell_are_told_apart(string how, ChainStep[] steps)
    {
        var setup = Demo
            .Plain.WithCondition("lift", At("right-shoulder", 2))
            .WithChannel("arm", c => c with { Take = Hand("left-dial") });
        foreach (var step in steps)
            setup = setup.WithStep("arm", $"step-{step.Order}", step);
        AssertAlike(SignalPlan.Compile(setup), how);
    }

    // One of the two channels that the dial moves follows it slowly: where that comes to rest is looked at in the same way.
    [Fact]
    public void No_values_of_a_cell_come_to_rest_apart_where_one_of_two_chains_is_slow()
    {
        var setup = Demo.Plain;
        var other = setup.Model.Channels.First(c => c.Key != "arm" && c.Value.Number.Value > 4).Key;
        var plan = SignalPlan.Compile(
            setup
                .WithChannel(other, c => c with { Take = Hand("left-dial") })
                .WithCondition("lift", Above(new ChannelSource { Channel = other }, -60))
                .WithChannel("arm", c => c with { Take = Hand("left-dial") })
                .WithStep("arm", "lift", new AddStep { Order = 1, With = With(Condition, scale: 5) })
                .WithStep(
                    "arm",
                    "slow",
                    new SlowStep
                    {
                        Order = 2,
                        Up = new(50),
                        Down = new(50),
                    }
                )
        );
        AssertAlike(plan, "slow");
    }

    private static void AssertAlike(SignalPlan plan, string how)
    {
        var check = PromiseList.All.SelectMany(p => p.Checks(plan)).First(c => (c.Bits & plan.Board.ArmBits) != 0);
        var scope = new ProofScope(plan, ProofLooks.Of(check));
        var dial = scope.Inputs.Single(i => i.Id == "left-dial");
        Assert.True(dial.Cells.Count >= 3, $"{how}: {dial.Cells.Count} cells");
        foreach (var cell in dial.Cells.Where(c => !c.Open))
        foreach (var position in (double[])[1, 2])
        {
            var armed = (
                from stretch in cell.Stretches
                from value in (double[])[stretch.From, stretch.UpTo, stretch.From + OneStep, stretch.UpTo - OneStep]
                where value >= stretch.From && value <= stretch.UpTo
                select IsOn(plan, value, position)
            ).Distinct();
            Assert.True(armed.Count() == 1, $"{how}, position {position}: {string.Join(", ", cell.Stretches)}");
        }
    }

    private static bool IsOn(SignalPlan plan, double dial, double position)
    {
        var values = plan.CreateValues();
        values.Hands[plan.Model.IndexOf("left-dial")] = new(dial);
        var shoulder = plan.Model.IndexOf("right-shoulder");
        values.Hands[shoulder] = plan.Model.Controls[shoulder].Value.Read(position)!.Value;
        plan.Settle(values);
        return plan.Setup.Board.Functions["arm"].IsActive([.. values.Received]);
    }
}
