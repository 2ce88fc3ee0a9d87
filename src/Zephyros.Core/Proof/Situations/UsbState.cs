namespace Zephyros.Core.Proof.Situations;

/// <summary>Whether the board is connected for configuration.</summary>
public enum UsbState
{
    /// <summary>It is not.</summary>
    None,

    /// <summary>It is, and arming is not unlocked.</summary>
    Connected,

    /// <summary>It is, and arming is unlocked on purpose.</summary>
    Unlocked,
}
