using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Fixes;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Symptoms;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Wire;

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
            from made in Demo
                .Names.Select(n => (Name: n.Data, Setup: Demo.Load(n.Data)))
                .OrderBy(m => m.Name, StringComparer.Ordinal)
                .Append((Name: "cut and stabilisation, announced", Setup: Announced))
                .Append((Name: "careless", Setup: Careless))
            from line in CandidateFixes
                .Of(made.Setup)
                .SelectMany(c => Recorded.Told(c.Edit).Prepend($"{c.Id}: {c.Effect}"))
                .Prepend($"# {made.Name}")
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
            let prover = new Core.Proof.Prover(SignalPlan.Compile(Demo.Load(name)), Build.Patient)
            from line in Core
                .Proof.Promises.PromiseList.All.SelectMany(promise =>
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

    [Fact]
    public void What_comes_with_the_program_is_what_came_with_it() =>
        Recorded.AssertSame(
            "shipped",
            BlankTransmitters
                .All.Select(t => $"new craft on {t.Name}: {Recorded.Told(NewSetup.For("Tern", t))}")
                .Concat(LinkProfiles.BuiltIn.Select(p => $"link {Recorded.Told(p)}"))
                .Concat(
                    Core.Proof.Promises.PromiseList.All.Select(p =>
                        $"promise {p.Order} {p.Code}: {p.Name}. {p.Title}. {p.Principle}"
                    )
                )
                .Concat(Enum.GetValues<WireFormat>().Select(w => $"wire {Recorded.Told(w.Describe())}"))
        );

    [Fact]
    public void What_follows_from_a_measurement_is_what_followed() =>
        Recorded.AssertSame("measure", Endpoints().Concat(Wiggles()).Concat(Positions()));

    private static IEnumerable<string> Endpoints() =>
        from measured in new (string Name, Setup Setup, double Low, double Centre, double High, double Jitter)[]
        {
            ("wide", Demo.Plain, 987, 1500, 2011, 0),
            ("narrow, off its centre, trembling", Demo.Plain, 1083, 1491, 1899, 7),
            ("as it should be", Demo.Clean, 1000, 1500, 2000, 3),
            ("nearly at the edges of the wire", Demo.Gannet, 890, 1502, 2110, 0),
        }
        let answer = EndpointSolver.Solve(
            measured.Setup,
            StickAxes.All.ToDictionary(
                a => a,
                _ => new Sweep
                {
                    Low = new(measured.Low),
                    Centre = new(measured.Centre),
                    High = new(measured.High),
                    Jitter = new(measured.Jitter),
                }
            )
        )
        from line in Enum.GetValues<CorrectionPlace>()
            .SelectMany(place => Recorded.Told(EndpointEdits.At(measured.Setup, answer, place)))
            .Prepend(Recorded.Told(answer))
            .Prepend($"# endpoints, {measured.Name}")
        select line;

    // Throttle and roll have changed places, and yaw runs the wrong way; then yaw is not seen at all.
    private static IEnumerable<string> Wiggles() =>
        from left in Enumerable.Range(0, 2)
        let all = left == 0
        let seen = StickAxes.All.Select(axis => new WiggleSeen
        {
            Moved = axis,
            Bar = axis switch
            {
                StickAxis.Throttle => StickAxis.Roll,
                StickAxis.Roll => StickAxis.Throttle,
                _ => axis,
            },
            Reversed = axis == StickAxis.Yaw,
        })
        let answer = WiggleSolver.Solve(
            [.. seen.Where(s => all || s.Moved != StickAxis.Yaw)],
            StickOrder.Parse("AETR"),
            Demo.Plain.Board.Map
        )
        from line in WiggleFixes
            .Of(Demo.Plain, answer)
            .Select(f => Recorded.Told(f))
            .Prepend(Recorded.Told(answer))
            .Prepend($"# wiggle, all {all}")
        select line;

    // Everything arrives a little higher than planned, and trembles.
    private static IEnumerable<string> Positions() =>
        from off in new[] { 0.0, 18, 60 }
        let plan = SignalPlan.Compile(Demo.Clean)
        let answer = PositionSolver.Solve(
            plan,
            [
                .. SimulatedMeasurement
                    .Positions(plan)
                    .Select(p => p with { Value = new(p.Value.Value + off), Jitter = new(off / 6) }),
            ]
        )
        from line in Recorded.Told(answer).Split('\n').Prepend($"# positions, {off} µs higher")
        select line;

    private static Setup Announced =>
        Demo
            .Clean.WithBoard(b =>
                b with
                {
                    Functions = b
                        .Functions.Add("cut", b.Functions["arm"] with { Kind = FunctionKind.ThrottleCut, Aux = 6 })
                        .Add(
                            "still",
                            b.Functions["arm"] with
                            {
                                Kind = FunctionKind.ZeroThrottleStabilisation,
                                Aux = 7,
                            }
                        ),
                    Loss = b.Loss with { Procedure = LossProcedure.Land, Grace = new(700) },
                }
            )
            .InModel(m =>
                m with
                {
                    Announcements = m.Announcements.Add(
                        "cut",
                        m.Announcements.MinBy(a => a.Key, StringComparer.Ordinal).Value with
                        {
                            Function = "cut",
                        }
                    ),
                }
            );

    // Everything is set the other way than the trade advises; overrides that are, and are not, low and enabled.
    private static Setup Careless =>
        Demo
            .Plain.WithAir(a => a with { OnLoss = ReceiverLoss.Hold, Telemetry = false })
            .WithBoard(b =>
                b with
                {
                    SignalTimeout = new(1500),
                    Equipment = b.Equipment with { PositionReceiver = true },
                    Loss = b.Loss with { Procedure = LossProcedure.ReturnHome, Grace = new(5000), FlownOnly = false },
                    Guards = b.Guards with
                    {
                        RefusalLatches = false,
                        RefusesThrottle = false,
                        DisarmsOnlyWhenLow = true,
                    },
                    Functions = b
                        .Functions.Set("beeper", f => f with { Low = new(1250), High = new(1600), Planned = [2, 3] })
                        .Set("self-level", f => f with { Planned = [2] })
                        .Set("blended", f => f with { Planned = [1], Aux = 20 }),
                }
            )
            .WithCondition("on", Build.At("right-shoulder", 2))
            .WithOverride("throttle", "on", -90)
            .WithOverride("yaw", "on", -89)
            .WithOverride("pitch", "on", -100)
            .InModel(m => m with { Overrides = m.Overrides.Set("pitch-on", o => o with { Enabled = false }) });

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
