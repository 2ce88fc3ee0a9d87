using System.Text;
using System.Text.Json;
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
    public void A_combination_that_is_said_to_reach_a_state_reaches_it()
    {
        var tried = 0;
        Setups(
            60,
            setup =>
            {
                foreach (
                    var row in StateTable.Of(SignalPlan.Compile(setup)).Rows.Where(r => r.Reached is { Length: > 0 })
                )
                {
                    // "Left front, inner far, Distance home 850.1 m": names with commas are told apart by what follows them.
                    var rig = new ModelRig(setup);
                    rig.Settle();
                    foreach (var (id, control) in setup.Transmitter.Controls)
                    foreach (var position in control.NamedPositions)
                        if (
                            $", {row.Reached},".Contains($", {control.Name} {position.Name},", StringComparison.Ordinal)
                        )
                            rig.Put(id, position.Setting);
                    rig.Settle();
                    if (!OnlyPositions(setup, row.Reached!))
                        continue;
                    Interlocked.Increment(ref tried);
                    Assert.Equal(row.State, rig.Plan.ActiveState(rig.Memory));
                }
            }
        );
        Assert.True(tried >= 10, $"{tried} combinations of positions tried");
    }

    private static bool OnlyPositions(Setup setup, string words) =>
        !setup.Model.Sensors.Values.Any(s => words.Contains(s.Label, StringComparison.Ordinal))
        && !words.Contains('%', StringComparison.Ordinal);

    private static void Setups(long count, Action<Setup> check) =>
        Gen.Int[0, int.MaxValue].Sample(seed => check(new RandomModels(seed).Make()), iter: Iterations.Of(count));
}
