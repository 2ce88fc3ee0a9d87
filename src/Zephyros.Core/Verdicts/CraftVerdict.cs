using Zephyros.Core.Fixes;
using Zephyros.Core.Proof;

namespace Zephyros.Core.Verdicts;

/// <summary>The one verdict on a craft: what the rules find and what the proof says, ranked by danger.</summary>
/// <param name="Word">The verdict in a word.</param>
/// <param name="Headline">The verdict in a line, such as "1 danger, 4 to check so far".</param>
/// <param name="Sentence">What it rests on, and what it does not say.</param>
/// <param name="Entries">What is open, the worst first.</param>
/// <param name="Kept">What is left as it is for a reason of the pilot's.</param>
/// <param name="Proven">How many promises are proven.</param>
/// <param name="Promises">How many are looked at.</param>
/// <param name="Waiting">Of how many of these the proof has not said anything.</param>
public sealed record CraftVerdict(
    VerdictWord Word,
    string Headline,
    string Sentence,
    IReadOnlyList<VerdictEntry> Entries,
    IReadOnlyList<VerdictEntry> Kept,
    int Proven,
    int Promises,
    int Waiting
)
{
    /// <summary>Joins both.</summary>
    /// <param name="findings">What the rules find.</param>
    /// <param name="promises">How all promises stand.</param>
    /// <param name="running">True while the proof goes on.</param>
    public static CraftVerdict Of(ToldFindings findings, IReadOnlyList<PromiseStanding> promises, bool running)
    {
        VerdictEntry[] entries =
        [
            .. findings.Open.Concat(OfPromises([.. promises.Where(p => p.IsOpen)])).OrderBy(e => e.Level),
        ];
        VerdictEntry[] kept = [.. findings.Kept, .. promises.Where(p => p.IsKeptOnPurpose).Select(Alone)];
        var wanted = promises.Count(p => !p.IsOff);
        var waiting = promises.Count(p => p.IsWaiting);
        var word = entries switch
        {
            _ when entries.Any(e => e.Level != VerdictLevel.NotYet) => VerdictWord.Wrong,
            _ when running => VerdictWord.NothingSoFar,
            _ when waiting > 0 || wanted == 0 => VerdictWord.Unfinished,
            [] => VerdictWord.NothingWrong,
            _ => VerdictWord.NotYet,
        };
        return new CraftVerdict(
            word,
            Headlines.Of(word, entries, running || waiting > 0),
            Headlines.Sentence(word, waiting, wanted, promises.Count - wanted),
            entries,
            kept,
            promises.Count(p => p.IsProven),
            wanted,
            waiting
        );
    }

    // A broken promise stands for itself; of the others those that have the same reason are one thing.
    private static IEnumerable<VerdictEntry> OfPromises(IReadOnlyList<PromiseStanding> open)
    {
        foreach (var broken in open.Where(p => p.Verdict!.Kind == VerdictKind.Broken))
            yield return Alone(broken);
        foreach (var group in open.Where(p => p.Verdict!.Kind != VerdictKind.Broken).GroupBy(Cause))
        {
            PromiseStanding[] alike = [.. group];
            yield return alike is [var only] ? Alone(only) : Together(group.Key, alike);
        }
    }

    private static (VerdictKind Kind, string Reason) Cause(PromiseStanding standing) =>
        standing.Verdict! switch
        {
            { Kind: VerdictKind.Vacuous } => (
                VerdictKind.Vacuous,
                "What they speak of is never reached in this setup."
            ),
            var verdict => (verdict.Kind, verdict.Reason),
        };

    private static VerdictEntry Together((VerdictKind Kind, string Reason) cause, PromiseStanding[] alike)
    {
        var vacuous = cause.Kind == VerdictKind.Vacuous;
        return VerdictEntry.Of(
            vacuous ? VerdictLevel.NotYet : VerdictLevel.Check,
            $"{alike.Length} promises {(vacuous ? "say nothing yet" : "are not proven")}",
            [.. alike.Select(p => p.Promise.Code)],
            cause.Reason
        );
    }

    private static VerdictEntry Alone(PromiseStanding standing)
    {
        var (promise, verdict) = (standing.Promise, standing.Verdict!);
        var (level, title) = verdict.Kind switch
        {
            VerdictKind.Broken => (VerdictLevel.Danger, $"Not kept: {promise.Name}"),
            VerdictKind.NotProven => (VerdictLevel.Check, $"Not proven: {promise.Name}"),
            VerdictKind.Vacuous => (VerdictLevel.NotYet, $"Says nothing yet: {promise.Name}"),
            VerdictKind.Proven => throw new ArgumentOutOfRangeException(nameof(standing)),
        };
        // The start is no step.
        return VerdictEntry.Of(level, title, [promise.Code], verdict.Reason, Math.Max(0, verdict.Path.Count - 1));
    }

    /// <summary>The same with what was proven to keep the promises that are not kept. A promise that the fix of a finding keeps has the cause
    /// of that finding.</summary>
    /// <param name="fixes">The proven fixes by the promise's code.</param>
    public CraftVerdict With(IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>> fixes) =>
        this with
        {
            Entries = [.. Entries.Select(e => e.Promises.Count == 0 ? e : Fixed(e, fixes))],
        };

    private VerdictEntry Fixed(VerdictEntry entry, IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>> fixes)
    {
        // What keeps all promises of an entry.
        ProvenFix[] shared =
        [
            .. fixes
                .GetValueOrDefault(entry.Promises[0], [])
                .Where(f => entry.Promises.All(code => fixes.GetValueOrDefault(code, []).Any(o => o.Id == f.Id))),
        ];
        var cause = Entries.FirstOrDefault(e =>
            e.Findings.Any(f => Array.Exists(shared, s => s.Id.StartsWith($"{f.Key}/", StringComparison.Ordinal)))
        );
        return entry with { Fixes = shared, CausedBy = cause?.Key };
    }
}
