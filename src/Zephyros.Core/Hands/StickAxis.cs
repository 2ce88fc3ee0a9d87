namespace Zephyros.Core.Hands;

/// <summary>What a stick commands. The letters A, E, T, R of channel orders stand for these axes.</summary>
public enum StickAxis
{
    /// <summary>A, aileron: roll.</summary>
    Roll,

    /// <summary>E, elevator: pitch.</summary>
    Pitch,

    /// <summary>T: throttle.</summary>
    Throttle,

    /// <summary>R, rudder: yaw. R is not roll.</summary>
    Yaw,
}
