using Zephyros.Core.Findings;
using Zephyros.Core.Proof;

namespace Zephyros.Core.Verdicts;

/// <summary>What an edit would change of the verdict on a craft.</summary>
/// <param name="Gained">The promises that it would prove and that are not proven now, by name.</param>
/// <param name="Lost">The promises that it would break, or that are proven now and would no longer be.</param>
/// <param name="Gone">The findings that it would put right, by title.</param>
/// <param name="Come">The findings that it would bring.</param>
/// <param name="Waiting">Of how many promises is not known yet how they would stand, or how they stand.</param>
public sealed record VerdictAhead(
    IReadOnlyList<string> Gained,
    IReadOnlyList<PromiseLost> Lost,
    IReadOnlyList<string> Gone,
    IReadOnlyList<string> Come,
    int Waiting
)
{
    /// <summary>Compares how a craft stands with how it would.</summary>
    /// <param name="findings">What the rules find now, and what they would.</param>
    /// <param name="promises">How the promises stand now, and how they would; the same ones in the same order.</param>
    public static VerdictAhead Of(
        (IReadOnlyList<Finding> Before, IReadOnlyList<Finding> After) findings,
        (IReadOnlyList<PromiseStanding> Before, IReadOnlyList<PromiseStanding> After) promises
    )
    {
        (PromiseStanding Before, PromiseStanding After)[] both = [.. promises.Before.Zip(promises.After)];
        return new VerdictAhead(
            [
                .. both.Where(p => p.After.IsProven && IsKnown(p) && !p.Before.IsProven)
                    .Select(p => p.After.Promise.Name),
            ],
            [.. both.Where(IsLost).Select(p => new PromiseLost(p.After.Promise.Name, p.After.Verdict!.Reason))],
            [.. Only(findings.Before, findings.After)],
            [.. Only(findings.After, findings.Before)],
            both.Count(p => !IsKnown(p))
        );
    }

    private static bool IsKnown((PromiseStanding Before, PromiseStanding After) promise) =>
        !promise.Before.IsWaiting && !promise.After.IsWaiting;

    // One that is broken already is not lost once more, and one that nobody wants to keep is not lost at all.
    private static bool IsLost((PromiseStanding Before, PromiseStanding After) promise) =>
        IsKnown(promise)
        && !promise.After.IsOff
        && !promise.After.IsProven
        && (
            promise.Before.IsProven
            || (promise.After.Verdict!.Kind == VerdictKind.Broken && promise.Before.Verdict?.Kind != VerdictKind.Broken)
        );

    private static IEnumerable<string> Only(IReadOnlyList<Finding> these, IReadOnlyList<Finding> others)
    {
        var known = others.Where(IsOpen).Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        return these
            .Where(f => IsOpen(f) && !known.Contains(f.Key))
            .Select(f => f.Title)
            .Distinct(StringComparer.Ordinal);
    }

    private static bool IsOpen(Finding finding) => finding.Justification is null;
}
