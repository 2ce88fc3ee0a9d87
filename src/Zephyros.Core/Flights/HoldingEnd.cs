namespace Zephyros.Core.Flights;

/// <summary>How an alarm ended that held.</summary>
public enum HoldingEnd
{
    /// <summary>By itself: what it asks for was no longer so.</summary>
    ByItself,

    /// <summary>Telemetry was missed.</summary>
    TelemetryMissed,

    /// <summary>The recording ended.</summary>
    Over,
}
