using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Running;

/// <summary>What comes into a model from outside at one moment.</summary>
/// <param name="hands">The value of each control, in the order of the plan's controls.</param>
/// <param name="readings">The reading of each sensor, in the order of the plan's sensors.</param>
/// <param name="telemetryLost">True while no telemetry arrives.</param>
public readonly ref struct ModelInputs(
    ReadOnlySpan<Percent> hands,
    ReadOnlySpan<Reading> readings = default,
    bool telemetryLost = false
)
{
    /// <summary>The value of each control, in the order of the plan's controls.</summary>
    public ReadOnlySpan<Percent> Hands { get; } = hands;

    /// <summary>The reading of each sensor, in the order of the plan's sensors.</summary>
    public ReadOnlySpan<Reading> Readings { get; } = readings;

    /// <summary>True while no telemetry arrives.</summary>
    public bool TelemetryLost { get; } = telemetryLost;
}
