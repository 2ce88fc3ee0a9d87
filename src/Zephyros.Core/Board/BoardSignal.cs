namespace Zephyros.Core.Board;

/// <summary>How a board stands towards its signal.</summary>
public enum BoardSignal
{
    /// <summary>No good frames: none yet, or lost with the motors off.</summary>
    None,

    /// <summary>Good frames arrive and the pilot commands.</summary>
    Good,

    /// <summary>Frames are missing and the board waits for them, armed.</summary>
    Grace,

    /// <summary>The craft comes down by itself.</summary>
    Landing,

    /// <summary>The craft flies home by itself.</summary>
    Returning,
}
