namespace Zephyros.Core.Evidence;

/// <summary>What evidence is of.</summary>
public enum EvidenceKind
{
    /// <summary>A receiver was bound.</summary>
    Bind,

    /// <summary>Sticks were wiggled and swept, and the board's bars read off.</summary>
    Measurement,
}
