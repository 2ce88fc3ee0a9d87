namespace Zephyros.Core.Model;

/// <summary>What a <see cref="ModelNode"/> is.</summary>
public enum NodeKind
{
    /// <summary>A control of the transmitter.</summary>
    Control,

    /// <summary>A telemetry sensor.</summary>
    Sensor,

    /// <summary>A condition.</summary>
    Condition,

    /// <summary>The active flight state.</summary>
    State,

    /// <summary>The chain of a channel, up to its output stage.</summary>
    Chain,

    /// <summary>What a channel sends: its chain, its output stage and its overrides.</summary>
    Sent,

    /// <summary>An announcement.</summary>
    Announcement,

    /// <summary>A timer.</summary>
    Timer,
}
