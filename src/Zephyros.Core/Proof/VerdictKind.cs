namespace Zephyros.Core.Proof;

/// <summary>What a proof says of a promise.</summary>
public enum VerdictKind
{
    /// <summary>No reachable state breaks it.</summary>
    Proven,

    /// <summary>A sequence of movements breaks it; it was played on the bench.</summary>
    Broken,

    /// <summary>Over the limit, cancelled, or a sequence that could not be played on the bench.</summary>
    NotProven,

    /// <summary>What it speaks of is never reached; it counts as not kept.</summary>
    Vacuous,
}
