using Zephyros.Core.Findings;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Verdicts;

namespace Zephyros.Core.Tests.Verdicts;

/// <summary>What an edit would change of the verdict, told once and on the right side.</summary>
public sealed class VerdictAheadTests
{
    private static readonly Promise Promise = PromiseList.All[0];

    public static TheoryData<VerdictKind?, VerdictKind?, string> Kinds { get; } =
        new()
        {
            { VerdictKind.Broken, VerdictKind.Proven, "gained" },
            { VerdictKind.Vacuous, VerdictKind.Proven, "gained" },
            { VerdictKind.NotProven, VerdictKind.Proven, "gained" },
            { VerdictKind.Proven, VerdictKind.Proven, "" },
            { VerdictKind.Broken, VerdictKind.Broken, "" },
            { VerdictKind.Proven, VerdictKind.Broken, "lost" },
            { VerdictKind.Proven, VerdictKind.NotProven, "lost" },
            { VerdictKind.Proven, VerdictKind.Vacuous, "lost" },
            { VerdictKind.Vacuous, VerdictKind.Broken, "lost" },
            { VerdictKind.NotProven, VerdictKind.Broken, "lost" },
            { VerdictKind.Broken, VerdictKind.NotProven, "" },
            { null, VerdictKind.Proven, "waits" },
            { null, VerdictKind.Broken, "waits" },
            { VerdictKind.Proven, null, "waits" },
        };

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_promise_is_gained_lost_or_waited_for(VerdictKind? before, VerdictKind? after, string told)
    {
        var ahead = Of(Standing(before), Standing(after));
        Assert.Equal(told == "gained" ? [Promise.Name] : [], ahead.Gained);
        Assert.Equal(told == "lost" ? [new PromiseLost(Promise.Name, "why")] : [], ahead.Lost);
        Assert.Equal(told == "waits" ? 1 : 0, ahead.Waiting);
    }

    [Fact]
    public void A_promise_that_nobody_wants_is_not_lost() =>
        Assert.Empty(
            Of(Standing(VerdictKind.Proven), Standing(VerdictKind.Broken, new PromiseSetting { On = false })).Lost
        );

    [Fact]
    public void Findings_go_and_come_and_those_that_are_kept_on_purpose_do_neither()
    {
        var found = Examination.Of(Demo.Sandpiper);
        var clean = Examination.Of(Demo.Clean);
        var titles = found.Select(f => f.Title);
        Assert.Equal(titles, Of(found, clean).Gone);
        Assert.Equal(titles, Of(clean, found).Come);
        Finding[] kept = [.. found.Select(f => f with { Justification = "on purpose" })];
        Assert.Empty(Of(kept, clean).Gone);
        Assert.Empty(Of(clean, kept).Come);
    }

    private static PromiseStanding Standing(VerdictKind? kind, PromiseSetting? setting = null) =>
        new(Promise, kind is { } known ? new PromiseVerdict(known, "why") : null, setting);

    private static VerdictAhead Of(PromiseStanding before, PromiseStanding after) =>
        VerdictAhead.Of(([], []), ([before], [after]));

    private static VerdictAhead Of(IReadOnlyList<Finding> before, IReadOnlyList<Finding> after) =>
        VerdictAhead.Of((before, after), ([], []));
}
