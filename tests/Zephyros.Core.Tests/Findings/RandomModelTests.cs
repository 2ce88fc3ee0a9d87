using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.RegularExpressions;
using CsCheck;
using Json.Schema;
using Zephyros.Core.Findings;
using Zephyros.Core.Path;
using Zephyros.Core.Path.States;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Tests.Reference;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Everything that looks at a whole setup, on random models: whatever a pilot builds, nothing breaks and nothing is lost.</summary>
public sealed class RandomModelTests
{
    private static readonly JsonSchema Schema = JsonSchema.FromText(File.ReadAllText("setup.schema.json"));

    [Fact]
    public void Findings_are_found_and_every_fix_leads_to_a_valid_setup_without_it() =>
        Setups(
            30,
            setup =>
            {
                var findings = Examination.Of(setup);
                Assert.Equal(findings.Select(f => f.Key).Distinct(StringComparer.Ordinal), findings.Select(f => f.Key));
                // One of a kind is enough: a random model has dozens of findings.
                foreach (var finding in findings.DistinctBy(f => f.Key.Split(':')[0], StringComparer.Ordinal))
                {
                    Assert.All([finding.Title, finding.What, finding.Why, finding.Provenance.Words], Assert.NotEmpty);
                    foreach (var fix in finding.Fixes)
                    {
                        var after = fix.Edit.ApplyTo(setup);
                        Assert.Empty(after.Problems.Select(p => $"{finding.Key} {fix.Id}: {p.Place} {p.Reason}"));
                        var left = Examination.Of(after.Setup!).FirstOrDefault(f => f.Key == finding.Key);
                        Assert.True(left is null, $"{finding.Key} stays after {fix.Id}: {left?.What}");
                    }
                }
            }
        );

    [Fact]
    public void A_model_written_and_read_again_is_the_same_and_fits_the_published_schema() =>
        Setups(
            100,
            setup =>
            {
                var text = CanonicalJson.Write(setup);
                var again = SetupJson.Read(Encoding.UTF8.GetBytes(text));
                Assert.Empty(again.Problems);
                Assert.Equal(text, CanonicalJson.Write(again.Setup!));
                Assert.True(Schema.Evaluate(JsonSerializer.SerializeToElement(SetupJson.ToNode(setup))).IsValid);
            }
        );

    [Fact]
    public void The_edit_between_two_models_leads_there_and_back() =>
        Setups(
            40,
            after =>
            {
                var before = Demo.Sandpiper;
                var there = SetupEdit.Between("there", before, after).ApplyTo(before).Setup!;
                Assert.Equal(CanonicalJson.Write(after), CanonicalJson.Write(there));
                var back = SetupEdit.Between("back", after, before).ApplyTo(there).Setup!;
                Assert.Equal(CanonicalJson.Write(before), CanonicalJson.Write(back));
            }
        );

    [Fact]
    public void What_is_said_to_reach_a_state_reaches_it()
    {
        var (put, walked) = (0, 0);
        // Ways of several moves are rare, three in sixty models: one time in thirty there is none among them, and more are drawn.
        for (var drawn = 0; drawn == 0 || (walked == 0 && drawn < 10); drawn++)
            Setups(
                60,
                setup =>
                {
                    var rows = StateTable.Of(SignalPlan.Compile(setup)).Rows.Where(r => r.Reached is { Length: > 0 });
                    foreach (var row in rows.Where(r => OnlyHands(setup, r.Reached!)))
                    {
                        var rig = new ModelRig(setup);
                        var first = Active(rig);
                        rig.Settle();
                        var met = Play(setup, rig, row.Reached!);
                        Assert.Contains(row.State, row.Reached == "at switch-on, for a moment" ? [first] : met);
                        if (row.Reached!.Contains(", then ", StringComparison.Ordinal))
                            Interlocked.Increment(ref walked);
                        else
                            Interlocked.Increment(ref put);
                    }
                }
            );
        Score.Tell($"states reached as said: {put} combinations and {walked} ways played");
        Assert.True(put >= 10 && walked >= 1, $"{put} combinations and {walked} ways played");
    }

    // Plays "Left front, inner far, Left button held for 0.6 s, then telemetry lost" and says which states were active with its last
    // move: while it went on, and when all had come to rest. Names with commas are told apart by what follows them.
    private static string?[] Play(Setup setup, ModelRig rig, string words)
    {
        var positions =
            from control in setup.Transmitter.Controls
            from position in control.Value.NamedPositions
            select (Words: $"{control.Value.Name} {position.Name}", control.Key, position.Setting);
        var known = positions.ToDictionary(p => p.Words, p => (p.Key, p.Setting), StringComparer.Ordinal);
        var names = string.Join('|', known.Keys.OrderByDescending(w => w.Length).Select(Regex.Escape));
        string?[] met = [Active(rig)];
        foreach (
            Match move in Regex.Matches(
                words,
                $"(?<=^|, |, then )(?<put>{names}|telemetry (lost|arrives))( for (?<s>[0-9.]+) s)?(?=,|$)"
            )
        )
        {
            if (known.TryGetValue(move.Groups["put"].Value, out var to))
                rig.Put(to.Key, to.Setting);
            else
                rig.TelemetryLost = move.Value == "telemetry lost";
            met = [Active(rig)];
            if (move.Groups["s"].Success)
            {
                var held = double.Parse(move.Groups["s"].Value, CultureInfo.InvariantCulture) * 1000;
                met = [.. met, Active(rig.Pass(held))];
                met = [.. met, Active(rig.Put(to.Key, setup.Transmitter.Controls[to.Key].StartSetting))];
            }

            met = [.. met, Active(rig.Pass(0)), Active(rig.Settle())];
        }

        return met;
    }

    // What was found is certain; what was not found is not, because the search has its limit. It must be rare.
    [Fact]
    public void A_state_that_a_hand_reaches_by_chance_is_said_to_be_reached()
    {
        var missed = new List<string>();
        var setups = (int)Iterations.OfProofs(30);
        for (var seed = 0; seed < setups; seed++)
        {
            var models = new RandomModels(seed);
            var setup = models.Make();
            var lost = StateTable
                .Of(SignalPlan.Compile(setup))
                .Rows.Where(r => r.Reached is null)
                .Select(r => r.State)
                .ToArray();
            var plain = new PlainInterpreter(setup.Transmitter, setup.Model);
            var inputs = models.AtRest();
            for (var i = 0; lost.Length > 0 && i < 300; i++)
            {
                plain.Step(inputs);
                if (lost.Contains(plain.ActiveState()))
                    missed.Add($"{plain.ActiveState()} of {seed} at step {i}");
                inputs = models.Next(inputs);
            }
        }

        Assert.True(missed.Count * 200 <= setups, string.Join(", ", missed));
    }

    private static string? Active(ModelRig rig) => rig.Plan.ActiveState(rig.Memory);

    private static bool OnlyHands(Setup setup, string words) =>
        !setup.Model.Sensors.Values.Any(s => words.Contains(s.Label, StringComparison.Ordinal))
        && !words.Contains('%', StringComparison.Ordinal);

    private static void Setups(long count, Action<Setup> check) =>
        Gen.Int[0, int.MaxValue].Sample(seed => check(new RandomModels(seed).Make()), iter: Iterations.OfProofs(count));
}
