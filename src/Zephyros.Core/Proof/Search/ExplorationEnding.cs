namespace Zephyros.Core.Proof.Search;

/// <summary>How an exploration ended.</summary>
internal enum ExplorationEnding
{
    /// <summary>Every reachable state was looked at, and no move breaks the promise.</summary>
    Exhausted,

    /// <summary>A move breaks the promise.</summary>
    Broken,

    /// <summary>The memory allowed was not enough.</summary>
    OverLimit,
}
