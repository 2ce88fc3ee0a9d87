using Zephyros.Core.Findings;
using Zephyros.Core.Fixes;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Tests.Proof;
using Zephyros.Core.Units;
using Zephyros.Core.Verdicts;

namespace Zephyros.Core.Tests.Verdicts;

/// <summary>The one verdict: "nothing wrong" is said only where rules and proof agree, and findings of one cause are told as one.</summary>
public sealed class CraftVerdictTests
{
    private static readonly VerdictKind?[] Kinds =
    [
        .. Enum.GetValues<VerdictKind>().Select(k => (VerdictKind?)k),
        null,
    ];

    // The judge knows nothing of entries: one open finding, or one promise that is wanted and neither proven nor left for a reason,
    // and nothing wrong must not be said.
    [Fact]
    public void Nothing_wrong_is_said_only_where_all_agree()
    {
        var random = new Random(19);
        var said = new Dictionary<VerdictWord, int>();
        Finding[][] findings =
        [
            [],
            [Finding("a", Severity.Danger)],
            [Finding("b", Severity.Caution, "on purpose")],
        ];
        for (var i = 0; i < 20_000; i++)
        {
            // Most are proven, so that every word is met.
            PromiseStanding[] promises =
            [
                .. PromiseList.All.Select(p => new PromiseStanding(
                    p,
                    random.Next(40) == 0 ? Verdict(Kinds[random.Next(Kinds.Length)]) : Verdict(VerdictKind.Proven),
                    random.Next(30) switch
                    {
                        0 => new() { On = false, Note = "not for this craft" },
                        1 => new() { Note = "as it is" },
                        _ => null,
                    }
                )),
            ];
            var found = findings[random.Next(10) == 0 ? 1 : random.Next(2) * 2];
            var running = random.Next(4) == 0;
            var verdict = CraftVerdict.Of(ToldFindings.Of(found), promises, running);
            said[verdict.Word] = said.GetValueOrDefault(verdict.Word) + 1;

            var wanted = promises.Where(p => p.Setting?.On != false).ToArray();
            var agrees =
                found.All(f => f.Justification is not null)
                && wanted.Length > 0
                && wanted.All(p =>
                    p.Verdict is { Kind: var kind } && (kind == VerdictKind.Proven || p.Setting is { Note.Length: > 0 })
                );
            Assert.Equal(agrees && !running, verdict.Word == VerdictWord.NothingWrong);
            Assert.Equal(agrees && !running, verdict.Headline == "Nothing wrong");
            // That nothing is looked at is said only where it is so.
            Assert.Equal(
                wanted.Length == 0 && verdict.Word != VerdictWord.Wrong,
                verdict.Sentence.Contains("No promise is looked at", StringComparison.Ordinal)
            );
            if (wanted.Any(p => p is { Verdict.Kind: VerdictKind.Broken, Setting: null }))
                Assert.Equal((VerdictWord.Wrong, VerdictLevel.Danger), (verdict.Word, verdict.Entries[0].Level));
        }

        Assert.All(Enum.GetValues<VerdictWord>(), word => Assert.True(said.GetValueOrDefault(word) > 50, $"{word}"));
    }

    [Fact]
    public void No_planted_fault_leaves_nothing_wrong()
    {
        PromiseStanding[] kept =
        [
            .. PromiseList.All.Select(p => new PromiseStanding(p, Verdict(VerdictKind.Proven), null)),
        ];
        foreach (var (key, setup) in PlantedFaults.All)
            Assert.True(
                CraftVerdict.Of(ToldFindings.Of(Examination.Of(setup)), kept, running: false).Word == VerdictWord.Wrong,
                key
            );
        // Of what only a proof finds: the promise is really proven, all others are taken for kept.
        var every = Iterations.Deep ? 1 : 6;
        foreach (var (name, (setup, caught)) in ProofFaults.All.OrderBy(f => f.Key).Where((_, i) => i % every == 0))
        {
            var prover = new Prover(SignalPlan.Compile(setup), Build.Patient);
            PromiseStanding[] promises =
            [
                .. kept.Select(p => p.Promise.Code == caught ? p with { Verdict = prover.Prove(p.Promise) } : p),
            ];
            // Some are caught by a rule already.
            var byRule = !promises.Any(p => p.Promise.Code == caught);
            var told = ToldFindings.Of(byRule ? Examination.Of(setup) : []);
            var verdict = CraftVerdict.Of(told, promises, running: false);
            // What a fault has made unreachable says nothing; the others are broken.
            var vacuous = promises.Any(p => p.Verdict!.Kind == VerdictKind.Vacuous);
            Assert.True(verdict.Word == (vacuous ? VerdictWord.NotYet : VerdictWord.Wrong), name);
            Assert.DoesNotContain("othing wrong", verdict.Headline, StringComparison.Ordinal);
            Assert.Equal(byRule ? [] : [caught], verdict.Entries.SelectMany(e => e.Promises));
        }
    }

    [Fact]
    public void Findings_of_one_cause_are_one_entry_with_each_fix_and_one_for_all()
    {
        var setup = Demo.Plain;
        foreach (var number in (int[])[9, 10, 12])
            setup = setup.InModel(m =>
                m with
                {
                    Channels = m.Channels.Add(
                        $"spare-{number}",
                        new()
                        {
                            Number = new(number),
                            Label = $"Spare {number}",
                            Take = Build.Constant(0),
                        }
                    ),
                }
            );
        setup = setup.InModel(m => m with { Trims = m.Trims.SetItem("roll", new Percent(3)) });
        var told = ToldFindings.Of(Examination.WithTriedFixes(setup), setup).Open;
        var unused = Assert.Single(told, e => e.Findings.Count > 1);
        Assert.Equal("3 channels that nothing on the board listens to", unused.Title);
        Assert.Equal((VerdictLevel.Check, Station.Model), (unused.Level, unused.Station));
        Assert.All(unused.Findings, f => Assert.NotEmpty(f.Fixes));
        Assert.Single(told, e => e.Title == "The trim of Roll is at +3 %");

        Assert.Equal("Remove all 3 channels", unused.FixAll!.Edit.Title);
        var after = unused.FixAll.Edit.ApplyTo(setup).Setup!;
        Assert.True(
            SetupJson.Same(Demo.Plain.InModel(m => m with { Trims = m.Trims.SetItem("roll", new Percent(3)) }), after)
        );
        // What it leaves is said.
        var gannet = ToldFindings.Of(Examination.WithTriedFixes(Demo.Gannet), Demo.Gannet).Open;
        var four = Assert.Single(gannet, e => e.Findings.Count == 4);
        Assert.Equal(
            "It leaves something else wrong: The flight states reach no channel; Nothing uses “Tracker on”.",
            four.FixAll!.Effect
        );
        Assert.DoesNotContain(
            Examination.Of(four.FixAll.Edit.ApplyTo(Demo.Gannet).Setup!),
            f => four.Findings.Any(other => other.Key == f.Key)
        );
        // Where nobody asks for it, it is not looked for.
        Assert.All(ToldFindings.Of(Examination.Of(setup)).Open, e => Assert.Null(e.FixAll));
    }

    // A code of no rule would leave its findings apart in silence.
    [Fact]
    public void What_is_told_together_has_the_code_of_its_rule()
    {
        SignalPlan[] plans = [.. PlantedFaults.All.Values.Select(SignalPlan.Compile)];
        Assert.All(
            Examination.Rules.Where(r => r.Together is not null),
            rule =>
                Assert.Contains(
                    plans.SelectMany(rule.Examine),
                    f => f.Key.StartsWith($"{rule.Together!.Code}:", StringComparison.Ordinal)
                )
        );
    }

    [Fact]
    public void A_promise_that_the_fix_of_a_finding_keeps_is_told_where_the_finding_is()
    {
        var findings = Examination.Of(Demo.Sandpiper);
        PromiseStanding[] promises =
        [
            .. PromiseList.All.Select(
                (p, i) => new PromiseStanding(p, Verdict(i < 3 ? VerdictKind.Broken : VerdictKind.Proven), null)
            ),
        ];
        var verdict = CraftVerdict.Of(ToldFindings.Of(findings), promises, running: false);
        var fix = findings[0].Fixes[0];
        ProvenFix Proven(string id) => new(id, fix.Effect, fix.Edit, []);
        var codes = PromiseList.All.Select(p => p.Code).ToArray();
        var with = verdict.With(
            new Dictionary<string, IReadOnlyList<ProvenFix>>(StringComparer.Ordinal)
            {
                [codes[0]] = [Proven("silent"), Proven($"{findings[0].Key}/{fix.Id}")],
                [codes[1]] = [Proven("silent")],
            }
        );
        string?[] causes = [.. with.Entries.Where(e => e.Promises.Count > 0).Select(e => e.CausedBy)];
        Assert.Equal([findings[0].Key, null, null], causes);
        Assert.Equal([2, 1, 0], with.Entries.Where(e => e.Promises.Count > 0).Select(e => e.Fixes.Count));
        Assert.Equal(verdict.Headline, with.Headline);
    }

    // What is not decided for one reason is one thing, and what says nothing yet is nothing wrong.
    [Theory]
    [InlineData("", "Nothing wrong")]
    [InlineData("broken", "1 danger")]
    [InlineData("broken broken not-proven", "2 dangers, 1 to check")]
    [InlineData("not-proven not-proven not-proven", "3 to check")]
    [InlineData("vacuous", "One promise says nothing yet")]
    [InlineData("vacuous vacuous", "2 promises say nothing yet")]
    [InlineData("waiting", "Nothing wrong so far, the proof is not finished")]
    [InlineData("broken waiting", "1 danger so far")]
    [InlineData("broken vacuous", "1 danger")]
    public void The_headline_counts(string kinds, string headline)
    {
        var said = kinds.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        PromiseStanding[] promises =
        [
            .. PromiseList.All.Select(
                (p, i) =>
                    new PromiseStanding(
                        p,
                        Verdict(
                            (i < said.Length ? said[i] : "proven") switch
                            {
                                "broken" => VerdictKind.Broken,
                                "not-proven" => VerdictKind.NotProven,
                                "vacuous" => VerdictKind.Vacuous,
                                "waiting" => null,
                                _ => VerdictKind.Proven,
                            }
                        ),
                        null
                    )
            ),
        ];
        var verdict = CraftVerdict.Of(ToldFindings.Of([]), promises, running: false);
        Assert.Equal(headline, verdict.Headline);
        Assert.Equal(
            said.Count(s => s == "broken") + (said.Except(["broken", "waiting"]).Any() ? 1 : 0),
            verdict.Entries.Count
        );
        Assert.Equal(PromiseList.All.Count - said.Length, verdict.Proven);
    }

    [Fact]
    public void Whoever_asks_no_promise_is_not_told_that_nothing_is_wrong()
    {
        PromiseStanding[] off =
        [
            .. PromiseList.All.Select(p => new PromiseStanding(
                p,
                null,
                new PromiseSetting { On = false, Note = "no" }
            )),
        ];
        var verdict = CraftVerdict.Of(ToldFindings.Of([]), off, running: false);
        Assert.Equal(VerdictWord.Unfinished, verdict.Word);
        Assert.Contains("No promise is looked at", verdict.Sentence, StringComparison.Ordinal);
    }

    private static PromiseVerdict? Verdict(VerdictKind? kind) =>
        kind is { } said ? new PromiseVerdict(said, "The reason.") : null;

    private static Finding Finding(string key, Severity severity, string? justification = null) =>
        new()
        {
            Key = key,
            Severity = severity,
            Station = Station.Model,
            Place = "",
            Title = key,
            What = "",
            Why = "",
            Provenance = Provenance.Practice(),
            Fixes = [],
            MayBeJustified = true,
            Justification = justification,
        };
}
