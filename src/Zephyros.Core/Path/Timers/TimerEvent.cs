namespace Zephyros.Core.Path.Timers;

/// <summary>What happens in the flight on which a timer is tried, in this order.</summary>
public enum TimerEvent
{
    /// <summary>Nothing yet: disarmed, throttle low, telemetry comes.</summary>
    AtRest,

    /// <summary>The arm switch goes on, the throttle stays low: the board arms, or refuses.</summary>
    SwitchOn,

    /// <summary>The throttle is raised.</summary>
    ThrottleUp,

    /// <summary>The throttle is low again, still armed.</summary>
    ThrottleLow,

    /// <summary>Telemetry is lost in flight.</summary>
    TelemetryLost,

    /// <summary>Telemetry comes again in flight.</summary>
    TelemetryBack,

    /// <summary>The arm switch goes off.</summary>
    SwitchOff,

    /// <summary>The battery is unplugged: telemetry is lost while disarmed.</summary>
    Unplugged,

    /// <summary>The next battery is plugged in: telemetry comes again.</summary>
    PluggedIn,
}
