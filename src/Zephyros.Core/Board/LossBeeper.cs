namespace Zephyros.Core.Board;

/// <summary>When the board lets the craft beep by itself, so that it is found.</summary>
public enum LossBeeper
{
    /// <summary>Never: only a switch does.</summary>
    None,

    /// <summary>From when it knows that the signal is lost until good frames are back.</summary>
    SinceLoss,

    /// <summary>Once its motors have stopped on a loss: it takes the craft for down.</summary>
    WhenDown,
}
