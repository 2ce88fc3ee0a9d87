namespace Zephyros.Core.Board;

/// <summary>How well a port takes the receiver.</summary>
public enum PortFit
{
    /// <summary>It fits.</summary>
    Fits,

    /// <summary>It fits, and something has to be minded.</summary>
    WithCare,

    /// <summary>It cannot be used.</summary>
    Impossible,
}
