namespace Zephyros.Core.Board;

/// <summary>What a board waits for.</summary>
public enum BoardTimer
{
    /// <summary>Frames have been missing for so long that the signal counts as lost.</summary>
    FramesMissing,

    /// <summary>The grace time after the loss is over.</summary>
    Grace,

    /// <summary>The landing is over.</summary>
    Landing,

    /// <summary>The throttle has been low for so long that a loss means a craft on the ground.</summary>
    LowBefore,

    /// <summary>The throttle has been low for so long that the board disarms by itself.</summary>
    AutomaticDisarm,

    /// <summary>The sensors are calibrated.</summary>
    Calibration,
}
