using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Of several checks of a promise the worst verdict is told: broken before empty, empty before not proven, and the first of equals.</summary>
public sealed class VerdictRankTests
{
    [Theory]
    [InlineData("kept", VerdictKind.Proven, "kept")]
    [InlineData("kept empty", VerdictKind.Vacuous, "empty")]
    [InlineData("empty kept", VerdictKind.Vacuous, "empty")]
    [InlineData("kept unsure", VerdictKind.NotProven, "unsure")]
    [InlineData("empty unsure", VerdictKind.Vacuous, "empty")]
    [InlineData("unsure empty", VerdictKind.Vacuous, "empty")]
    [InlineData("unsure broken empty", VerdictKind.Broken, "broken")]
    [InlineData("empty broken", VerdictKind.Broken, "broken")]
    [InlineData("broken unsure kept", VerdictKind.Broken, "broken")]
    public void The_worst_is_told(string checks, VerdictKind kind, string about)
    {
        var verdict = Prove(checks.Split(' '));
        Assert.Equal(kind, verdict.Kind);
        Assert.StartsWith($"{about}: ", verdict.Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void Of_equals_the_first_is_told_and_states_add_up()
    {
        var (one, two) = (Prove("broken"), Prove("broken", "broken"));
        Assert.Equal((one.Reason, 2 * one.States, one.Depth), (two.Reason, two.States, two.Depth));
        Assert.Equal(one.Path.Select(s => s.Sentence), two.Path.Select(s => s.Sentence));
    }

    // Somebody waits and looks on: deeper and more each time, and never more than there may be.
    [Fact]
    public void It_is_told_how_far_a_proof_has_come()
    {
        var told = new Told();
        var verdict = new Prover(SignalPlan.Compile(Demo.Plain), Build.Patient).Prove(
            new Several(["kept"]),
            told,
            TestContext.Current.CancellationToken
        );
        Assert.True(told.Reports.Count > verdict.Depth);
        Assert.Equal(told.Reports.OrderBy(r => r.Moves).ThenBy(r => r.States), told.Reports);
        Assert.InRange(told.Reports[^1].Moves, verdict.Depth - 1, verdict.Depth);
        Assert.Equal(verdict.States, told.Reports[^1].States);
        Assert.All(told.Reports, r => Assert.True(r.Estimate >= r.States, $"{r}"));
    }

    private sealed class Told : IProgress<ProofProgress>
    {
        public List<ProofProgress> Reports { get; } = [];

        public void Report(ProofProgress value) => Reports.Add(value);
    }

    [Fact]
    public void Nothing_to_check_says_nothing()
    {
        var verdict = Prove();
        Assert.Equal(
            (VerdictKind.Vacuous, "There is nothing in this setup that it speaks of."),
            (verdict.Kind, verdict.Reason)
        );
    }

    private static PromiseVerdict Prove(params string[] checks) =>
        new Prover(SignalPlan.Compile(Demo.Plain), Build.Patient).Prove(
            new Several(checks),
            null,
            TestContext.Current.CancellationToken
        );

    private sealed class Several(string[] checks) : Promise
    {
        public override string Code => "several";

        public override int Order => 0;

        public override string Name => "Several";

        public override string Title => "Several";

        public override Provenance Principle => Provenance.Own();

        public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
            checks.Select(check =>
            {
                var watched = 0;
                return new PromiseCheck(plan.Board.ArmBits | BoardView.LowBit, () => new Eye(check, watched++))
                {
                    About = check,
                };
            });
    }

    // Broken once the board is armed; unsure when only the first that watches sees it, so that the bench does not confirm it.
    private sealed class Eye(string check, int watched) : Watch
    {
        public override int Next(int monitor, in Change change)
        {
            PremiseReached |= check != "empty";
            return change.Board.Armed && (check == "broken" || (check == "unsure" && watched == 0)) ? Broken : 0;
        }
    }
}
