namespace Zephyros.Core.Air;

/// <summary>What the receiver does on its signal wire while nothing arrives by radio.</summary>
public enum ReceiverLoss
{
    /// <summary>It falls silent: the board learns of the loss and runs its own procedure. Today's advice for multirotors.</summary>
    Silent,

    /// <summary>It goes on sending the last values in good frames: the board never learns of the loss.</summary>
    Hold,

    /// <summary>It sends preset values in good frames; a channel without a preset keeps its last value.</summary>
    Preset,
}
