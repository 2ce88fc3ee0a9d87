using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Zephyros.Core.Board;
using Zephyros.Core.Findings;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

public sealed class PromiseTests
{
    // What the promise that must catch a fault says of it; proven once for all tests here.
    private static readonly Lazy<IReadOnlyDictionary<string, PromiseVerdict>> Verdicts = new(() =>
        ProofFaults
            .All.Where(f => !f.Value.Caught.StartsWith("finding ", StringComparison.Ordinal))
            .AsParallel()
            .ToDictionary(f => f.Key, f => Prove(f.Value.Setup, f.Value.Caught), StringComparer.Ordinal)
    );

    [Fact]
    public void Planted_faults_are_caught_and_harmless_changes_break_no_promise()
    {
        var missed = Failing(ProofFaults.All, (name, f) => Caught(name, f.Setup, f.Caught));
        var flagged = Failing(HarmlessVariants.All, (_, setup) => Complaint(setup));
        Score.Tell(
            $"planted faults: {ProofFaults.All.Count - missed.Count} of {ProofFaults.All.Count} caught; harmless variants: {flagged.Count} of {HarmlessVariants.All.Count} flagged"
        );
        Assert.Empty(missed);
        Assert.Empty(flagged);
        // Every promise is needed: a fault is caught by it. A board guards itself against tuning, and no setting takes that away.
        Assert.Equal(
            ["no-tuning-while-arming"],
            PromiseList.All.Select(p => p.Code).Except(ProofFaults.All.Values.Select(f => f.Caught)).Order()
        );
    }

    // As it was read through once; "make record" records it anew.
    [Fact]
    public void What_is_said_of_each_planted_fault_is_what_was_said() =>
        Recorded.AssertSame(
            "faults",
            from fault in Verdicts.Value.OrderBy(v => v.Key, StringComparer.Ordinal)
            let verdict = fault.Value
            from line in verdict
                .Path.Select(s => $"  {s.Sentence} {s.Outcome}")
                .Prepend($"{verdict.Kind}, {verdict.States} states, {verdict.Depth} deep. {verdict.Reason}")
                .Prepend($"# {fault.Key}: {ProofFaults.All[fault.Key].Caught}")
            select line
        );

    // No setup can plant it, so the watch is shown the moment itself.
    [Fact]
    public void Arming_while_tuning_would_be_seen()
    {
        var plan = SignalPlan.Compile(
            Demo.Clean.WithFunction("lamp", f => f with { Kind = FunctionKind.AutomaticTune })
        );
        var watch = Assert.Single(new NoTuningWhileArming().Checks(plan)).Watch();
        var board = BoardMachine.PowerUp(plan.Board);
        Change Arming(ulong view, bool arms = true) =>
            new(
                new Situation(board, RadioState.Up, true, 0, default, default, false, 0),
                MoveKind.Input,
                default,
                board with
                {
                    Armed = arms,
                },
                RadioState.Up,
                false,
                true,
                new BoardView(view),
                true,
                0
            );
        Assert.Equal(0, watch.Next(0, Arming(plan.Board.ConflictBits, arms: false)));
        Assert.False(watch.PremiseReached);
        Assert.Equal(0, watch.Next(0, Arming(BoardView.LowBit)));
        Assert.True(watch.PremiseReached);
        Assert.Equal(Watch.Broken, watch.Next(0, Arming(plan.Board.ConflictBits)));
    }

    // The name of each case for which something is said, with what is said.
    private static List<string> Failing<T>(IReadOnlyDictionary<string, T> cases, Func<string, T, string?> complain) =>
        [
            .. cases
                .AsParallel()
                .Select(c => (c.Key, Said: complain(c.Key, c.Value)))
                .Where(c => c.Said is not null)
                .Select(c => $"{c.Key}: {c.Said}"),
        ];

    private static string? Caught(string name, Setup setup, string by)
    {
        if (by.StartsWith("finding ", StringComparison.Ordinal))
            return Examination.Of(setup).Any(f => f.Key == by[8..]) ? null : "no finding";
        var verdict = Verdicts.Value[name];
        return verdict.Kind is VerdictKind.Broken or VerdictKind.Vacuous ? null : Told(verdict);
    }

    // What two promises have in common is worked out once.
    private static string? Complaint(Setup setup)
    {
        var prover = new Prover(SignalPlan.Compile(setup), Build.Patient);
        return PromiseList
            .All.Select(p => (p.Code, Verdict: prover.Prove(p, null, CancellationToken.None)))
            .Where(p => p.Verdict.Kind != VerdictKind.Proven)
            .Select(p => $"{p.Code} {Told(p.Verdict)}")
            .FirstOrDefault();
    }

    private static string Told(PromiseVerdict verdict) =>
        $"{verdict.Kind}, {verdict.Reason}\n{string.Join('\n', verdict.Path.Select(s => s.Sentence + " " + s.Outcome))}";

    [Fact]
    public void A_sequence_that_breaks_a_promise_really_does_so_on_the_bench()
    {
        foreach (var (name, verdict) in Verdicts.Value.Where(v => v.Value.Path.Count > 0))
        {
            var path = verdict.Path;
            var replay = new BenchReplay(ProofFaults.All[name].Setup, path);
            for (var step = 1; step < path.Count; step++)
            {
                Assert.True(replay.Step(), $"{name}, step {step}");
                Assert.Equal(path[step].Board.Motors, replay.Bench.Snapshot("throttle").Motors);
            }

            Assert.True(replay.AtEnd);
        }
    }

    [Fact]
    public void A_control_that_makes_no_difference_changes_no_verdict()
    {
        for (var seed = 0; seed < Iterations.OfProofs(2); seed++)
        {
            var setup = new RandomCraft(seed).Make();
            var more = setup
                .WithCondition("elsewhere", At("right-back-switch", 2))
                .InModel(m =>
                    m with
                    {
                        Channels = m.Channels.Add(
                            "spare",
                            new Channel
                            {
                                Number = new ChannelNumber(9),
                                Label = "Spare",
                                Take = new ConditionSource { Condition = "elsewhere" },
                            }
                        ),
                    }
                );
            Same(setup, more);
        }
    }

    [Fact]
    public void Names_and_ids_change_no_verdict()
    {
        for (var seed = 0; seed < Iterations.OfProofs(2); seed++)
        {
            var setup = new RandomCraft(seed).Make();
            var renamed = setup
                .InModel(m => m with { Name = "OTHER" })
                .WithControl("left-shoulder", c => c with { Alias = "Wing" })
                .WithBoard(b =>
                    b with
                    {
                        Functions = b.Functions.Remove("arm").Add("zz-arm", b.Functions["arm"] with { Label = "Go" }),
                    }
                );
            Same(setup, renamed);
        }
    }

    // Two switches that go from near to far one after the other are seen mixed, and then the throttle is not lifted; both at once are not.
    [Fact]
    public void Two_hands_find_what_one_hand_cannot_do()
    {
        Test both = All(At("right-shoulder", 2), At("left-back-switch", 2));
        Test mixed = Any(
            All(At("right-shoulder", 2), At("left-back-switch", 1)),
            All(At("right-shoulder", 1), At("left-back-switch", 2))
        );
        var setup = Demo
            .Plain.WithCondition("mixed", Latch(mixed, All(At("right-shoulder", 1), At("left-back-switch", 1))))
            .WithCondition("lift", All(both, Not(Holds("mixed"))))
            .WithOverride("throttle", "lift", 30);
        var promise = PromiseList.All.Single(p => p.Code == "no-switch-adds-thrust");
        var one = new Prover(SignalPlan.Compile(setup), Build.Patient).Prove(promise, null, Token);
        var two = new Prover(SignalPlan.Compile(setup), new ProofLimits(TwoHands: true)).Prove(promise, null, Token);
        Assert.Equal((VerdictKind.Proven, VerdictKind.Broken), (one.Kind, two.Kind));
        Assert.Contains(two.Assumptions, a => a.Contains("pairs of controls", StringComparison.Ordinal));
    }

    [Fact]
    public void Over_the_limit_and_cancelled_are_said_and_never_proven()
    {
        var plan = SignalPlan.Compile(Demo.Clean);
        var promise = PromiseList.All.Single(p => p.Code == "loss-is-handled");
        var small = new Prover(plan, new ProofLimits(Bytes: 60_000)).Prove(promise, null, Token);
        Assert.Equal(VerdictKind.NotProven, small.Kind);
        Assert.Matches(@"^Explored [\d\u202f]+ of about [\d\u202f]+ states", small.Reason);
        using var cancelled = new CancellationTokenSource();
        cancelled.Cancel();
        var none = new Prover(plan, Build.Patient).Prove(promise, null, cancelled.Token);
        Assert.Equal(VerdictKind.NotProven, none.Kind);
        Assert.StartsWith("The proof was cancelled.", none.Reason, StringComparison.Ordinal);
        var cycle = Demo.Clean.WithCondition("cut-held", Not(Holds("cut-held")));
        Assert.Equal(VerdictKind.NotProven, Prove(cycle, "loss-is-handled").Kind);
    }

    [Fact]
    public void The_same_proof_comes_out_the_same_twice()
    {
        var (setup, caught) = ProofFaults.All["channel order of another board"];
        var (one, other) = (Prove(setup, caught), Prove(setup with { }, caught));
        Assert.Equal(one.Path.Select(s => s.Sentence), other.Path.Select(s => s.Sentence));
        Assert.Equal(one.States, other.States);
    }

    private static CancellationToken Token => TestContext.Current.CancellationToken;

    // Several tests look at the same faults; each is proven once.
    private static readonly ConditionalWeakTable<Setup, ConcurrentDictionary<string, PromiseVerdict>> Proven = [];

    private static PromiseVerdict Prove(Setup setup, string code) =>
        Proven
            .GetOrCreateValue(setup)
            .GetOrAdd(
                code,
                _ =>
                    new Prover(SignalPlan.Compile(setup), Build.Patient).Prove(
                        PromiseList.All.Single(p => p.Code == code),
                        null,
                        Token
                    )
            );

    private static void Same(Setup one, Setup other) =>
        Assert.All(
            PromiseList.All.Where(p => p.Code != "functions-reachable"),
            p =>
            {
                var (a, b) = (Prove(one, p.Code), Prove(other, p.Code));
                Assert.Equal((a.Kind, a.Path.Count), (b.Kind, b.Path.Count));
            }
        );
}
