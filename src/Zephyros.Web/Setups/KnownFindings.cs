using System.Runtime.CompilerServices;
using Zephyros.Core.Findings;
using Zephyros.Core.Setups;
using Zephyros.Core.Verdicts;

namespace Zephyros.Web.Setups;

/// <summary>The findings of setups that were examined before. A setup never changes, so neither do its findings; they are forgotten
/// together with it.</summary>
internal sealed class KnownFindings
{
    private readonly ConditionalWeakTable<Setup, IReadOnlyList<Finding>> found = [];
    private readonly ConditionalWeakTable<Setup, IReadOnlyList<Finding>> known = [];
    private readonly ConditionalWeakTable<Setup, ToldFindings> told = [];

    /// <summary>What is wrong with a setup, as <see cref="Examination.Of"/> gives it. Trying the fixes of a whole hangar, which nobody looks at
    /// there, takes many times as long.</summary>
    public IReadOnlyList<Finding> Untried(Setup setup) => found.GetValue(setup, Examination.Of);

    /// <summary>The findings of a setup, as <see cref="Examination.WithTriedFixes"/> gives them.</summary>
    public IReadOnlyList<Finding> Of(Setup setup) => known.GetValue(setup, Examination.WithTriedFixes);

    /// <summary>The same as a verdict tells them.</summary>
    public ToldFindings Told(Setup setup) => told.GetValue(setup, s => ToldFindings.Of(Of(s), s));
}
