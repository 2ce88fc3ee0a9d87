using System.Globalization;
using Zephyros.Core.Findings;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Verdicts;

/// <summary>Puts findings of one cause together.</summary>
internal static class Causes
{
    private static readonly Dictionary<string, FindingsTogether> Together = Examination
        .Rules.Select(r => r.Together)
        .OfType<FindingsTogether>()
        .ToDictionary(t => t.Code, StringComparer.Ordinal);

    /// <summary>The entries of findings that are open, in the order of the first of each.</summary>
    public static IEnumerable<VerdictEntry> Entries(IReadOnlyList<Finding> open, Setup? setup)
    {
        foreach (
            var group in open.GroupBy(f => (f.Severity, Cause: Code(f) is var c && Together.ContainsKey(c) ? c : f.Key))
        )
        {
            Finding[] findings = [.. group];
            yield return findings is [var only] ? Entry(only) : Entry(Together[group.Key.Cause], findings, setup);
        }
    }

    /// <summary>The entry of one finding.</summary>
    public static VerdictEntry Entry(Finding finding) =>
        VerdictEntry.Of(finding.Key, Level(finding), finding.Title, [finding]);

    private static VerdictEntry Entry(FindingsTogether together, Finding[] findings, Setup? setup) =>
        VerdictEntry.Of(
            $"{together.Code}:all:{findings[0].Severity}",
            Level(findings[0]),
            Counted(together.Title, findings.Length),
            findings,
            setup is null ? null : FixAll(setup, Counted(together.FixAll, findings.Length), findings)
        );

    // One after the other, since what a fix writes may be another one after the fix before; null when that does not mend all. What it
    // leaves is said, as each fix by itself says it.
    private static Fix? FixAll(Setup setup, string title, Finding[] findings)
    {
        var after = setup;
        foreach (var finding in findings)
        {
            if (Examination.Of(after).FirstOrDefault(f => f.Key == finding.Key) is not { } still)
                continue;
            // What was tried and not offered is no way here either.
            if (
                finding.Fixes is not [var first, ..]
                || still.Fixes.FirstOrDefault(f => f.Id == first.Id) is not { } fix
            )
                return null;
            if (fix.Edit.ApplyTo(after).Setup is not { } mended)
                return null;
            after = mended;
        }

        var known = Examination.Of(setup).Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        var left = Examination.Of(after);
        if (findings.Any(f => left.Any(l => l.Key == f.Key)))
            return null;
        var more = left.Where(f => !known.Contains(f.Key)).Select(f => f.Title).Distinct(StringComparer.Ordinal);
        var leaves = string.Join("; ", more);
        return new Fix(
            "all",
            leaves.Length == 0 ? "Each of them, one after the other." : $"It leaves something else wrong: {leaves}.",
            SetupEdit.Between(title, setup, after)
        );
    }

    private static string Code(Finding finding) => finding.Key.Split(':')[0];

    private static string Counted(string words, int count) => string.Format(CultureInfo.InvariantCulture, words, count);

    private static VerdictLevel Level(Finding finding) =>
        finding.Severity switch
        {
            Severity.Danger => VerdictLevel.Danger,
            Severity.Caution => VerdictLevel.Check,
        };
}
