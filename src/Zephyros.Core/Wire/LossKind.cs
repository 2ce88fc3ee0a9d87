namespace Zephyros.Core.Wire;

/// <summary>How a loss shows on the signal wire.</summary>
public enum LossKind
{
    /// <summary>No good frame came when one was due.</summary>
    Missing,

    /// <summary>The frame says that it repeats older values: the receiver missed a packet.</summary>
    FrameLost,

    /// <summary>The frame says that the receiver has lost the signal: its values are those for a loss.</summary>
    SignalLoss,
}
