namespace Zephyros.Core.Board;

/// <summary>Why a board refuses to arm.</summary>
public enum ArmRefusal
{
    /// <summary>It does not refuse.</summary>
    None,

    /// <summary>No good frames arrive.</summary>
    NoSignal,

    /// <summary>The arm switch was already on when the board was powered.</summary>
    SwitchOnAtPowerUp,

    /// <summary>The arm switch was already on when the signal returned.</summary>
    SwitchOnAtSignalReturn,

    /// <summary>The throttle, as the board reads it, was not low when the arm switch was put on. It stays refused until the
    /// switch has been off.</summary>
    ThrottleNotLow,

    /// <summary>The board has an arming consent, and it was not given.</summary>
    ConsentMissing,

    /// <summary>Automatic trim or automatic tuning was on.</summary>
    ConflictingFunction,

    /// <summary>The craft was tilted by more than the limit.</summary>
    Tilted,

    /// <summary>The board was connected for configuration, and that was not unlocked.</summary>
    Connected,

    /// <summary>The loss procedure on purpose was on.</summary>
    LossProcedureOn,

    /// <summary>The board was still calibrating its sensors.</summary>
    Calibrating,

    /// <summary>The board had stopped the motors by itself, and the arm switch was still on.</summary>
    StoppedByItself,
}
