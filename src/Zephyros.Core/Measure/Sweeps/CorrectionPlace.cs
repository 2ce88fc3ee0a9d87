namespace Zephyros.Core.Measure.Sweeps;

/// <summary>Where endpoints are put right. In one place only: putting them right twice is as wrong as not at all.</summary>
public enum CorrectionPlace
{
    /// <summary>The board is told the span of each channel and scales it.</summary>
    Board,

    /// <summary>The transmitter sends 1000 to 2000 µs.</summary>
    Transmitter,

    /// <summary>The transmitter comes as near as its steps allow, and the board scales what is left.</summary>
    Both,
}
