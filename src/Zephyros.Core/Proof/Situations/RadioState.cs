namespace Zephyros.Core.Proof.Situations;

/// <summary>Whether the transmitter reaches the receiver.</summary>
public enum RadioState
{
    /// <summary>It does.</summary>
    Up,

    /// <summary>It does not.</summary>
    Lost,

    /// <summary>The transmitter is switched off.</summary>
    Off,
}
