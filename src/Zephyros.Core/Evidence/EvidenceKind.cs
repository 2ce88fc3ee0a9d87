namespace Zephyros.Core.Evidence;

/// <summary>What evidence is of.</summary>
public enum EvidenceKind
{
    /// <summary>A receiver was bound.</summary>
    Bind,

    /// <summary>Sticks were wiggled and swept, and the board's bars read off.</summary>
    Measurement,

    /// <summary>Something was stored in the transmitter.</summary>
    Stored,

    /// <summary>What a transmitter or a board has stored was looked at again.</summary>
    ReadBack,

    /// <summary>Something was tried at the bench.</summary>
    Tried,
}
