namespace Zephyros.Core.Proof.Cells;

/// <summary>What moves an input of the reduced system.</summary>
public enum InputKind
{
    /// <summary>A hand, to any position or value.</summary>
    Control,

    /// <summary>The world: a telemetry reading.</summary>
    Sensor,

    /// <summary>The world: whether telemetry arrives.</summary>
    Telemetry,
}
