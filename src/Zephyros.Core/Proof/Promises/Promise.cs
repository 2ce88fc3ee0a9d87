using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>A safety property that a setup must keep in every reachable state. One promise is one class in one file; it is found by
/// being there.</summary>
public abstract class Promise
{
    /// <summary>The code, such as "no-delayed-arming".</summary>
    public abstract string Code { get; }

    /// <summary>Its place in the list.</summary>
    public abstract int Order { get; }

    /// <summary>The promise in a few words.</summary>
    public abstract string Name { get; }

    /// <summary>The promise as a sentence that leaves nothing open.</summary>
    public abstract string Title { get; }

    /// <summary>The principle behind it and where that comes from.</summary>
    public abstract Provenance Principle { get; }

    /// <summary>True when it is enough that one of the checks is kept: one of several movements works.</summary>
    public virtual bool OneIsEnough => false;

    /// <summary>Why there is no check at all.</summary>
    public virtual string NothingToCheck => "There is nothing in this setup that it speaks of.";

    /// <summary>What has to be explored.</summary>
    /// <param name="plan">The valid setup, compiled.</param>
    /// <returns>The checks; none when the settings alone keep the promise.</returns>
    public abstract IEnumerable<PromiseCheck> Checks(SignalPlan plan);

    /// <summary>True when it looks at how the throttle answers its stick.</summary>
    internal virtual bool LooksAtResponse => false;

    /// <summary>What the throttle's response to its stick says, before anything else is explored; null when it says nothing against the
    /// promise.</summary>
    internal virtual PromiseVerdict? ByResponse(Prover prover) => null;

    /// <summary>What the settings alone say: why the promise is kept without exploring, or why it cannot be; null when exploring tells.</summary>
    public virtual PromiseVerdict? BySettings(SignalPlan plan) => null;
}
