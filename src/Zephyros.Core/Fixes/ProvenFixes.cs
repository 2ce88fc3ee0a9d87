using Zephyros.Core.Findings;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Fixes;

/// <summary>Finds fixes for a broken promise by trying: each is applied to a copy, and everything is proven there before it is offered.</summary>
public static class ProvenFixes
{
    /// <summary>The fixes, those that keep most other promises first.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="promise">The promise that it breaks.</param>
    /// <param name="verdicts">What was proven of the setup as it is, by the promise's code.</param>
    /// <param name="limits">How far each proof may go.</param>
    /// <param name="cancellation">Ends the search.</param>
    /// <exception cref="OperationCanceledException">It was cancelled.</exception>
    public static IReadOnlyList<ProvenFix> For(
        Setup setup,
        Promise promise,
        IReadOnlyDictionary<string, VerdictKind> verdicts,
        ProofLimits limits,
        CancellationToken cancellation
    )
    {
        var fixes = new List<ProvenFix>();
        var wrong = Examination.Of(setup).Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        var tried = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (id, effect, edit) in CandidateFixes.Of(setup))
        {
            cancellation.ThrowIfCancellationRequested();
            if (edit.ApplyTo(setup).Setup is not { } after)
                continue;
            // Two ways to the same setup are one, and what leaves something else wrong is no way.
            if (!tried.Add(CanonicalJson.Write(after)) || LeavesDanger(after, wrong))
                continue;
            var prover = new Prover(SignalPlan.Compile(after), limits);
            if (prover.Prove(promise, null, cancellation).Kind != VerdictKind.Proven)
                continue;
            if (Others(prover, promise, verdicts, cancellation) is { } also)
                fixes.Add(new ProvenFix(id, effect, edit, also));
        }

        return Ranked(fixes);
    }

    /// <summary>What keeps most other promises first; of those that keep as many the one that was found first.</summary>
    internal static IReadOnlyList<ProvenFix> Ranked(IEnumerable<ProvenFix> fixes) =>
        [.. fixes.OrderByDescending(f => f.AlsoKeeps.Count)];

    private static bool LeavesDanger(Setup after, HashSet<string> wrong) =>
        Examination.Of(after).Any(f => f.Severity == Severity.Danger && !wrong.Contains(f.Key));

    // The other promises that are kept now and were not; null when one is lost.
    private static List<string>? Others(
        Prover prover,
        Promise promise,
        IReadOnlyDictionary<string, VerdictKind> verdicts,
        CancellationToken cancellation
    )
    {
        var also = new List<string>();
        foreach (var other in PromiseList.All.Where(p => p.Code != promise.Code))
        {
            if (!verdicts.TryGetValue(other.Code, out var before))
                continue;
            var kept = prover.Prove(other, null, cancellation).Kind == VerdictKind.Proven;
            if (before == VerdictKind.Proven && !kept)
                return null;
            if (before != VerdictKind.Proven && kept)
                also.Add(other.Code);
        }

        return also;
    }
}
