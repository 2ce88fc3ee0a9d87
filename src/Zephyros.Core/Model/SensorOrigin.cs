namespace Zephyros.Core.Model;

/// <summary>Who measures what a sensor reports.</summary>
public enum SensorOrigin
{
    /// <summary>The transmitter itself; no link is needed.</summary>
    Transmitter,

    /// <summary>The receiver: it reports as soon as there is a link with telemetry.</summary>
    Receiver,

    /// <summary>The flight controller: it reports when it is equipped for that, and has a way to the receiver.</summary>
    Board,
}
