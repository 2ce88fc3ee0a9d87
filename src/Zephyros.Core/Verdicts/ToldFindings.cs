using Zephyros.Core.Findings;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Verdicts;

/// <summary>What the rules find, as a verdict tells it.</summary>
/// <param name="Open">What is open: findings of one cause are one entry.</param>
/// <param name="Kept">What is left as it is for a reason.</param>
public sealed record ToldFindings(IReadOnlyList<VerdictEntry> Open, IReadOnlyList<VerdictEntry> Kept)
{
    /// <summary>Tells findings.</summary>
    /// <param name="findings">The findings.</param>
    /// <param name="setup">The valid setup that they are of, to look for what puts several right at once, which takes an examination for
    /// each; null where nobody asks for it.</param>
    public static ToldFindings Of(IReadOnlyList<Finding> findings, Setup? setup = null) =>
        new(
            [.. Causes.Entries([.. findings.Where(f => f.Justification is null)], setup)],
            [.. findings.Where(f => f.Justification is not null).Select(Causes.Entry)]
        );
}
