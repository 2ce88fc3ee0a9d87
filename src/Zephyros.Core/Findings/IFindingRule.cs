using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>A rule of the job that a setup may break. One rule is one class in one file; it is found by being there.</summary>
public interface IFindingRule
{
    /// <summary>Looks at a setup.</summary>
    /// <param name="plan">The valid setup, compiled.</param>
    /// <returns>What is wrong; usually nothing.</returns>
    IEnumerable<Finding> Examine(SignalPlan plan);

    /// <summary>How several findings of this rule are told as one; null where each has a cause of its own.</summary>
    FindingsTogether? Together => null;
}
