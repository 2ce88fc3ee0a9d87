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

    /// <summary>The same with fixes that say what else they would leave wrong. It examines the setup once more for every fix.</summary>
    public static IReadOnlyList<Finding> WithWhatFixesLeave(Setup setup)
    {
        var found = Of(setup);
        var keys = found.Select(f => f.Key).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. found.Select(finding =>
                finding with
                {
                    Fixes = [.. finding.Fixes.Select(f => WithWhatItLeaves(setup, f, keys))],
                }
            ),
        ];
    }

    private static Fix WithWhatItLeaves(Setup setup, Fix fix, HashSet<string> keys)
    {
        if (fix.Edit.ApplyTo(setup).Setup is not { } after)
            return fix;
        var plan = SignalPlan.Compile(after);
        string[] left =
        [
            .. Rules
                .SelectMany(r => r.Examine(plan))
                .Where(f => !keys.Contains(f.Key))
                .Select(f => f.Title)
                .Distinct(StringComparer.Ordinal),
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
