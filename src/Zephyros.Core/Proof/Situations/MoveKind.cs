namespace Zephyros.Core.Proof.Situations;

/// <summary>What can happen next, in the order in which the proof tries it.</summary>
public enum MoveKind
{
    /// <summary>A hand moves a control, or a reading of telemetry changes.</summary>
    Input,

    /// <summary>Something in the model has waited for long enough: a delay or a press.</summary>
    ModelTime,

    /// <summary>A slow step of the model moves on by itself.</summary>
    SlowStep,

    /// <summary>Nothing is moved; a channel that wanders arrives beside what is sent.</summary>
    Tremble,

    /// <summary>A timer of the board is over.</summary>
    BoardTime,

    /// <summary>The radio link is lost.</summary>
    RadioLost,

    /// <summary>The radio link is back.</summary>
    RadioBack,

    /// <summary>The craft gets power.</summary>
    PowerOn,

    /// <summary>The craft loses power.</summary>
    PowerOff,

    /// <summary>The transmitter is switched off.</summary>
    TransmitterOff,

    /// <summary>The transmitter is switched on.</summary>
    TransmitterOn,

    /// <summary>The craft is turned.</summary>
    Turn,

    /// <summary>A cable for configuration is plugged, unlocked or taken off.</summary>
    Cable,

    /// <summary>The board gets a position fix, or loses it.</summary>
    Fix,
}
