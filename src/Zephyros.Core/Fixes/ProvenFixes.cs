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
    /// <summary>The fixes of a promise, those that keep most other promises first.</summary>
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
    ) => ForEach(setup, [promise], verdicts, limits, cancellation)[promise.Code];

    /// <summary>The fixes of several promises, by code: each change is tried once for all of them.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="broken">The promises that it breaks.</param>
    /// <param name="verdicts">What was proven of the setup as it is, by the promise's code.</param>
    /// <param name="limits">How far each proof may go.</param>
    /// <param name="cancellation">Ends the search.</param>
    /// <exception cref="OperationCanceledException">It was cancelled.</exception>
    public static IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>> ForEach(
        Setup setup,
        IReadOnlyList<Promise> broken,
        IReadOnlyDictionary<string, VerdictKind> verdicts,
        ProofLimits limits,
        CancellationToken cancellation
    )
    {
        var fixes = broken.ToDictionary(p => p.Code, _ => new List<ProvenFix>(), StringComparer.Ordinal);
        var wrong = Examination.Of(setup).Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        var tried = new HashSet<string>(StringComparer.Ordinal);
        foreach (var (id, effect, edit) in broken.Count > 0 ? CandidateFixes.Of(setup) : [])
        {
            cancellation.ThrowIfCancellationRequested();
            if (edit.ApplyTo(setup).Setup is not { } after)
                continue;
            // Two ways to the same setup are one, and what leaves something else wrong is no way.
            if (!tried.Add(CanonicalJson.Write(after)) || LeavesDanger(after, wrong))
                continue;
            var prover = new Prover(SignalPlan.Compile(after), limits);
            Promise[] kept = [.. broken.Where(p => prover.Prove(p, null, cancellation).Kind == VerdictKind.Proven)];
            if (kept.Length == 0 || Others(prover, broken, verdicts, cancellation) is not { } others)
                continue;
            string[] all = [.. kept.Select(p => p.Code), .. others];
            foreach (var code in kept.Select(p => p.Code))
                fixes[code]
                    .Add(
                        new ProvenFix(
                            id,
                            effect,
                            edit,
                            [
                                .. PromiseList
                                    .All.Select(p => p.Code)
                                    .Where(c => c != code && all.Contains(c, StringComparer.Ordinal)),
                            ]
                        )
                    );
        }

        return fixes.ToDictionary(f => f.Key, f => Ranked(f.Value), StringComparer.Ordinal);
    }

    /// <summary>What keeps most other promises first; of those that keep as many the one that was found first.</summary>
    internal static IReadOnlyList<ProvenFix> Ranked(IEnumerable<ProvenFix> fixes) =>
        [.. fixes.OrderByDescending(f => f.AlsoKeeps.Count)];

    private static bool LeavesDanger(Setup after, HashSet<string> wrong) =>
        Examination.Of(after).Any(f => f.Severity == Severity.Danger && !wrong.Contains(f.Key));

    // Promises besides these that are kept now and were not; null when one is lost.
    private static List<string>? Others(
        Prover prover,
        IReadOnlyList<Promise> broken,
        IReadOnlyDictionary<string, VerdictKind> verdicts,
        CancellationToken cancellation
    )
    {
        var also = new List<string>();
        foreach (var other in PromiseList.All.Except(broken))
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
