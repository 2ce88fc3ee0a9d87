using Zephyros.Core.Path;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Findings;

/// <summary>Applies every rule to a setup.</summary>
public static class Examination
{
    /// <summary>All rules there are, by name.</summary>
    public static IReadOnlyList<IFindingRule> Rules { get; } =
    [
        .. typeof(IFindingRule)
            .Assembly.GetTypes()
            .Where(t => t is { IsClass: true, IsAbstract: false } && t.IsAssignableTo(typeof(IFindingRule)))
            .OrderBy(t => t.Name, StringComparer.Ordinal)
            .Select(t => (IFindingRule)Activator.CreateInstance(t)!),
    ];

    /// <summary>What is wrong with a valid setup: what is not justified first, then by severity and place on the path.</summary>
    public static IReadOnlyList<Finding> Of(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        return
        [
            .. Rules
                .SelectMany(rule => rule.Examine(plan))
                .Select(finding => Justified(setup, finding))
                .OrderBy(f => f.Justification is not null)
                .ThenBy(f => f.Severity)
                .ThenBy(f => f.Station)
                .ThenBy(f => f.Key, StringComparer.Ordinal),
        ];
    }

    /// <summary>The same with fixes that were tried: one that leaves its finding is not offered, and each says what else it would leave
    /// wrong. It examines the setup once more for every fix.</summary>
    public static IReadOnlyList<Finding> WithTriedFixes(Setup setup)
    {
        var found = Of(setup);
        var keys = found.Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. found.Select(finding =>
                finding with
                {
                    Fixes = [.. finding.Fixes.Select(f => Tried(setup, finding, f, keys)).OfType<Fix>()],
                }
            ),
        ];
    }

    private static Fix? Tried(Setup setup, Finding finding, Fix fix, HashSet<string> keys)
    {
        if (fix.Edit.ApplyTo(setup).Setup is not { } after)
            return null;
        var plan = SignalPlan.Compile(after);
        Finding[] found = [.. Rules.SelectMany(r => r.Examine(plan))];
        if (Array.Exists(found, f => f.Key == finding.Key))
            return null;
        string[] left =
        [
            .. found.Where(f => !keys.Contains(f.Key)).Select(f => f.Title).Distinct(StringComparer.Ordinal),
        ];
        return left.Length == 0
            ? fix
            : fix with
            {
                Effect = $"{fix.Effect} It leaves another finding: {string.Join("; ", left)}.",
            };
    }

    private static Finding Justified(Setup setup, Finding finding) =>
        finding.MayBeJustified && setup.Justified.TryGetValue(finding.Key, out var note)
            ? finding with
            {
                Justification = note.Note,
            }
            : finding;
}
