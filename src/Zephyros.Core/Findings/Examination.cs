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

    private static Finding Justified(Setup setup, Finding finding) =>
        finding.MayBeJustified && setup.Justified.TryGetValue(finding.Key, out var note)
            ? finding with
            {
                Justification = note.Note,
            }
            : finding;
}
