namespace Zephyros.Core.Proof.Situations;

/// <summary>How the craft lies.</summary>
public enum Orientation
{
    /// <summary>Level.</summary>
    Level,

    /// <summary>Tilted by more than the board's limit.</summary>
    Tilted,

    /// <summary>On its back.</summary>
    UpsideDown,
}
