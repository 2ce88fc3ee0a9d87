using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Fixes;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Tests.Findings;

namespace Zephyros.Core.Tests.Fixes;

/// <summary>Which fixes are offered for a broken promise and for a finding, and which are not.</summary>
public sealed class ProvenFixTests
{
    private static readonly Setup Holds = Demo.Plain.WithAir(a => a with { OnLoss = ReceiverLoss.Hold });

    // What the verdicts say of the other promises decides: one that was kept and no longer is takes the fix away.
    [Theory]
    [InlineData("functions-reachable", VerdictKind.Proven, true)]
    [InlineData("functions-reachable", VerdictKind.Broken, true)]
    [InlineData("changes-announced", VerdictKind.Broken, true)]
    [InlineData("changes-announced", VerdictKind.Proven, false)]
    public void A_fix_that_loses_another_promise_is_not_offered(string other, VerdictKind before, bool offered)
    {
        // Nothing announces a loss here, with or without the fix.
        var fixes = Offered(Holds, "loss-is-handled", (other, before));
        Assert.Equal(offered, fixes.Any(f => f.Id == "silent"));
        Assert.All(
            fixes,
            f =>
                Assert.Equal(before == VerdictKind.Broken && other == "functions-reachable" ? [other] : [], f.AlsoKeeps)
        );
    }

    // Sent on both channels the arm switch would work, and would feed two channels: a new danger.
    [Fact]
    public void A_fix_that_leaves_a_new_danger_is_not_offered()
    {
        var setup = Demo.Plain.WithChannel("arm", c => c with { Number = new(8) });
        Assert.Equal(
            ["watch", "feed"],
            Examination.Of(setup).Single(f => f.Key == "arm-switch-not-reaching:arm").Fixes.Select(f => f.Id)
        );
        var ids = Offered(setup, "can-fly").Select(f => f.Id).ToArray();
        Assert.Contains("arm-switch-not-reaching:arm/watch", ids);
        Assert.DoesNotContain("arm-switch-not-reaching:arm/feed", ids);
    }

    [Fact]
    public void Two_ways_to_the_same_setup_are_offered_once()
    {
        var setup = Demo.ArmOnThreePositions(2010, 2100)
            .WithArm(f => f with { Planned = [3] })
            .WithBoard(b => b with { Wander = b.Wander.Add(new(5), new(5)) });
        string[] both = ["band-too-near:arm:left-front-outer:far/band", "as-planned/arm"];
        var edits = CandidateFixes
            .Of(setup)
            .Where(c => both.Contains(c.Id, StringComparer.Ordinal))
            .Select(c => CanonicalJson.Write(c.Edit.ApplyTo(setup).Setup!))
            .ToArray();
        Assert.Equal(2, edits.Length);
        Assert.Equal(edits[0], edits[1]);
        Assert.Single(Offered(setup, "no-accidental-stop"), f => both.Contains(f.Id, StringComparer.Ordinal));
    }

    [Fact]
    public void The_fix_that_keeps_most_other_promises_comes_first()
    {
        var fixes = Offered(Demo.Sandpiper, "no-leap", [.. PromiseList.All.Select(p => (p.Code, VerdictKind.Broken))]);
        Assert.True(fixes.Count > 1);
        Assert.Equal(fixes.Select(f => f.AlsoKeeps.Count).OrderDescending(), fixes.Select(f => f.AlsoKeeps.Count));
    }

    // No setup at hand has fixes of which the later one keeps more.
    [Fact]
    public void Of_fixes_that_keep_as_many_the_first_found_comes_first()
    {
        ProvenFix Keeping(string id, int also) =>
            new(id, "", new SetupEdit(id, []), [.. PromiseList.All.Take(also).Select(p => p.Code)]);
        Assert.Equal(
            ["c", "b", "d", "a"],
            ProvenFixes.Ranked([Keeping("a", 0), Keeping("b", 1), Keeping("c", 2), Keeping("d", 1)]).Select(f => f.Id)
        );
    }

    [Fact]
    public void What_the_pilot_keeps_on_purpose_is_no_candidate()
    {
        var trimmed = PlantedFaults.All["trim-left-on:yaw"];
        bool Candidate(Setup setup) => CandidateFixes.Of(setup).Any(c => c.Id == "trim-left-on:yaw/zero");
        Assert.True(Candidate(trimmed));
        Assert.False(
            Candidate(DecisionEdits.Justify(trimmed, "trim-left-on:yaw", "a bent arm").ApplyTo(trimmed).Setup!)
        );
    }

    // A forced -100 % is 988 us on this scale: it cannot hold back a board that is active above 950 us, so nothing is offered.
    [Fact]
    public void A_fix_that_leaves_its_finding_is_not_offered_and_one_that_leaves_another_says_so()
    {
        var low = PlantedFaults.TwoStage.WithBoard(b => b with { ActivationLimit = new(950) });
        const string Key = "activation-limit-missed:first-stage-only";
        Assert.Single(Examination.Of(low).Single(f => f.Key == Key).Fixes);
        Assert.Empty(Examination.WithTriedFixes(low).Single(f => f.Key == Key).Fixes);
        var moved = Demo.Plain.WithChannel("arm", c => c with { Number = new(8) });
        var fixes = Examination.WithTriedFixes(moved).Single(f => f.Key == "arm-switch-not-reaching:arm").Fixes;
        Assert.DoesNotContain("another finding", fixes[0].Effect, StringComparison.Ordinal);
        Assert.EndsWith(
            "It leaves another finding: Left shoulder feeds 2 channels.",
            fixes[1].Effect,
            StringComparison.Ordinal
        );
    }

    private static IReadOnlyList<ProvenFix> Offered(
        Setup setup,
        string promise,
        params (string Code, VerdictKind Kind)[] before
    ) =>
        ProvenFixes.For(
            setup,
            PromiseList.All.Single(p => p.Code == promise),
            before.ToDictionary(b => b.Code, b => b.Kind, StringComparer.Ordinal),
            Build.Patient,
            TestContext.Current.CancellationToken
        );

    // The arm switch is on channel 5.
    [Theory]
    [InlineData(5, true)]
    [InlineData(4, false)]
    public void A_band_as_planned_is_offered_up_to_the_last_channel_that_arrives(int carried, bool offered)
    {
        var setup = Demo
            .Plain.WithArm(f => f with { Planned = [2], Low = new(900), High = new(1200) })
            .WithAir(a => a with { Channels = carried });
        Assert.Equal(offered, CandidateFixes.Of(setup).Any(c => c.Id == "as-planned/arm"));
    }
}
