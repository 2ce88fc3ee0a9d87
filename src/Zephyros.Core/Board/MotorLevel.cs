namespace Zephyros.Core.Board;

/// <summary>What the motors do, in the order of hazard.</summary>
public enum MotorLevel
{
    /// <summary>They stand.</summary>
    Off,

    /// <summary>They idle and the controller is inactive: a bump cannot make the craft leap.</summary>
    Idle,

    /// <summary>They idle and the controller works on them.</summary>
    IdleWithControl,

    /// <summary>The throttle is above the activation limit, or above "low" where the board has none.</summary>
    Thrust,
}
