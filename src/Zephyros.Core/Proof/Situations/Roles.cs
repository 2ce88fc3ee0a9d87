namespace Zephyros.Core.Proof.Situations;

/// <summary>What a moved control is to a promise.</summary>
[Flags]
public enum Roles
{
    /// <summary>Nothing particular.</summary>
    None = 0,

    /// <summary>It is the throttle stick.</summary>
    ThrottleStick = 1,

    /// <summary>It is another stick.</summary>
    OtherStick = 2,

    /// <summary>It is the control that is declared to arm.</summary>
    Arms = 4,

    /// <summary>It is a control that is declared to give the arming consent.</summary>
    Consents = 8,

    /// <summary>It is a switch that goes to its safe end.</summary>
    ToSafeEnd = 32,

    /// <summary>It is the movement that the promise names.</summary>
    Named = 64,

    /// <summary>It is the control of the movement that the promise names, going elsewhere.</summary>
    NamedAway = 256,

    /// <summary>It is no hand: a telemetry reading.</summary>
    Telemetry = 128,

    /// <summary>It is a control that goes elsewhere than to a safe end.</summary>
    NotToSafeEnd = 512,

    /// <summary>Telemetry as such is lost.</summary>
    TelemetryGoes = 4096,

    /// <summary>It goes where it was proven to stop the motors from every armed state.</summary>
    Stops = 1024,

    /// <summary>It goes where it was proven to end thrust from every armed state: a stop, or a throttle cut of the transmitter.</summary>
    EndsThrust = 2048,
}
