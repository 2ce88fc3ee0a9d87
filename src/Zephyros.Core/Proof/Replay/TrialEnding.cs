namespace Zephyros.Core.Proof.Replay;

/// <summary>What came of trying a sequence.</summary>
internal enum TrialEnding
{
    /// <summary>It does on the bench what it should.</summary>
    Played,

    /// <summary>Neither it nor any other that was tried does.</summary>
    NotPlayed,

    /// <summary>A finer look shows that no sequence does.</summary>
    Excluded,
}
