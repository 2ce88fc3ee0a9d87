namespace Zephyros.Core.Model;

/// <summary>What a reference inside a model names.</summary>
public enum ReferenceKind
{
    /// <summary>A control of the transmitter.</summary>
    Control,

    /// <summary>A channel.</summary>
    Channel,

    /// <summary>A condition.</summary>
    Condition,

    /// <summary>A telemetry sensor.</summary>
    Sensor,

    /// <summary>A flight state.</summary>
    State,

    /// <summary>A timer.</summary>
    Timer,
}
