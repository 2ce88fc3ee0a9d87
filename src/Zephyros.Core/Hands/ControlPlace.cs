namespace Zephyros.Core.Hands;

/// <summary>Where the fingers find a control. The order is the order in which controls are listed.</summary>
public enum ControlPlace
{
    /// <summary>The stick under the left thumb.</summary>
    LeftStick,

    /// <summary>The stick under the right thumb.</summary>
    RightStick,

    /// <summary>The left shoulder.</summary>
    LeftShoulder,

    /// <summary>The front, left half.</summary>
    LeftFront,

    /// <summary>The front, right half.</summary>
    RightFront,

    /// <summary>The right shoulder.</summary>
    RightShoulder,

    /// <summary>The back, under the left index finger.</summary>
    LeftBack,

    /// <summary>The back, under the right index finger.</summary>
    RightBack,

    /// <summary>A socket: something outside the transmitter moves it.</summary>
    Socket,
}
