using Zephyros.Core.Findings;
using Zephyros.Core.Judgement;
using Zephyros.Core.Path;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Findings;

namespace Zephyros.Core.Tests;

/// <summary>Everything that is said of a planted fault, and exactly what each fix writes; see <see cref="Recorded"/>.</summary>
public sealed class RecordedTests
{
    // What has no default.
    private static readonly Dictionary<string, Dictionary<string, string>> Wanted = new(StringComparer.Ordinal)
    {
        ["throttle-cut"] = new(StringComparer.Ordinal) { ["cut"] = "right-back-switch:2" },
        ["two-stage-arming"] = new(StringComparer.Ordinal) { ["second"] = "right-shoulder:2", ["limit"] = "1060" },
    };

    [Fact]
    public void Findings_say_what_they_said_and_their_fixes_write_what_they_wrote() =>
        Recorded.AssertSame(
            "findings",
            from planted in PlantedFaults.All.OrderBy(p => p.Key, StringComparer.Ordinal)
            from line in Examination
                .Of(planted.Value)
                .Where(f => f.Key == planted.Key)
                .SelectMany(Told)
                .Prepend($"# {planted.Key}")
            select line
        );

    [Fact]
    public void Candidate_fixes_write_what_they_wrote() =>
        Recorded.AssertSame(
            "candidates",
            from name in Demo.Names.Select(n => n.Data).Order(StringComparer.Ordinal)
            from line in CandidateFixes
                .Of(Demo.Load(name))
                .SelectMany(c => Recorded.Told(c.Edit).Prepend($"{c.Id}: {c.Effect}"))
                .Prepend($"# {name}")
            select line
        );

    [Fact]
    public void Symptoms_have_the_suspects_that_they_had()
    {
        string[] faults =
        [
            "arm-function-missing",
            "arm-switch-not-reaching:arm",
            "arm-channel-not-carried:arm",
            "channel-order",
            "throttle-never-low",
            "travel-off",
        ];
        var cases = PlantedFaults
            .All.Where(p => faults.Contains(p.Key, StringComparer.Ordinal))
            .Select(p => (p.Key, p.Value))
            .Append(("clean", Demo.Clean))
            .Append(("gannet", Demo.Gannet))
            .Append(("centre off", Demo.Plain.WithBoard(b => b with { Centre = new(1460) })));
        Recorded.AssertSame(
            "symptoms",
            from made in cases
            from line in SymptomList
                .For(made.Item2)
                .SelectMany(s =>
                    s.Suspects.Select(c =>
                            $"  {c.Standing}: {c.What} {c.Check} [{string.Join(' ', c.Findings.Select(f => f.Key))}]"
                        )
                        .Prepend($"{s.Id}: {s.Title}")
                )
                .Prepend($"# {made.Item1}")
            select line
        );
    }

    [Fact]
    public void Ready_made_chains_build_what_they_built() =>
        Recorded.AssertSame(
            "ready-made",
            from chain in ReadyMadeChains.All
            from setup in new[] { ("plain", Demo.Plain), ("clean", Demo.Clean), ("wren", Demo.Wren) }
            from line in Built(chain, setup.Item2)
                .Prepend($"# {chain.Id} in {setup.Item1}: {chain.Title}. {chain.Purpose}")
            select line
        );

    [Fact]
    public void Promises_say_what_they_said_of_the_demo_craft() =>
        Recorded.AssertSame(
            "promises",
            from name in Demo.Names.Select(n => n.Data).Order(StringComparer.Ordinal)
            let prover = new Core.Proof.Prover(SignalPlan.Compile(Demo.Load(name)), new Core.Proof.ProofLimits())
            from line in Core
                .Proof.PromiseList.All.SelectMany(promise =>
                {
                    var verdict = prover.Prove(promise);
                    return verdict
                        .Path.Select(s => $"    {s.Sentence} {s.Outcome}")
                        .Concat(verdict.Assumptions.Select(a => $"    - {a}"))
                        .Prepend($"{promise.Code}: {verdict.Kind}, {verdict.States} states. {verdict.Reason}");
                })
                .Prepend($"# {name}")
            select line
        );

    private static IEnumerable<string> Told(Finding finding) =>
        finding
            .Fixes.SelectMany(f => Recorded.Told(f.Edit).Prepend($"  fix {f.Id}: {f.Effect}"))
            .Prepend($"{finding.Title}. {finding.What} {finding.Why} ({finding.Provenance})")
            .Prepend($"{finding.Severity}, {finding.Station} {finding.Place}, justified {finding.MayBeJustified}");

    private static IEnumerable<string> Built(IReadyMade chain, Setup setup)
    {
        var arguments = new Arguments(setup, chain, Wanted.GetValueOrDefault(chain.Id, []));
        foreach (var asked in chain.Parameters(setup))
            yield return $"  {asked.Name} {asked.Label} {asked.Kind} {asked.Default}{asked.Unit} {asked.Minimum}..{asked.Maximum} optional {asked.Optional}: {string.Join(", ", asked.Options.Select(o => o.Value))}";
        if (chain.Build(setup, arguments) is not { } built)
        {
            foreach (var problem in arguments.Problems)
                yield return $"  problem: {problem.Reason}";
            yield break;
        }

        foreach (var fact in built.Facts)
            yield return $"  {fact}";
        foreach (var line in Recorded.Told(SetupEdit.Between(chain.Title, setup, built.Setup)))
            yield return line;
    }
}
