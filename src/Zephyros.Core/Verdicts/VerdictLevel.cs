namespace Zephyros.Core.Verdicts;

/// <summary>How much an entry of a verdict matters; the worst first.</summary>
public enum VerdictLevel
{
    /// <summary>The craft would do something else than the pilot means, or a promise is broken.</summary>
    Danger,

    /// <summary>It deserves a look: a caution, or a promise of which it is not known whether it is kept.</summary>
    Check,

    /// <summary>It says nothing yet: what a promise speaks of is never reached in this setup.</summary>
    NotYet,
}
