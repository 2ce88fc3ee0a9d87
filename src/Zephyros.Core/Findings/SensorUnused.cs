using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>Nothing asks for a sensor, nothing speaks it, and the display does not show it.</summary>
public sealed class SensorUnused : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("sensor-unused", "Nobody uses {0} sensors", "Remove all {0} sensors");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var used = ModelReferences
            .Of(setup.Model)
            .Where(r => r.Kind == ReferenceKind.Sensor)
            .Select(r => r.Id)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var (id, sensor) in SensorFaults.Sensors(setup))
        {
            if (sensor.Gauge is not null || used.Contains(id))
                continue;
            yield return ReturnCaution.Of(
                $"sensor-unused:{id}",
                $"/model/sensors/{id}",
                $"Nobody uses {sensor.Label}",
                "No condition asks for it, nothing speaks it, and the transmitter's display does not show it.",
                "Sensors left over from another craft or another receiver are mixed up with those that count.",
                [
                    SensorFaults.Changing(
                        setup,
                        "gauge",
                        "Shows it on the transmitter's display.",
                        $"{sensor.Label} on the display",
                        id,
                        sensor with
                        {
                            Gauge = new SensorGauge { From = sensor.Lowest, To = sensor.Highest },
                        }
                    ),
                    new Fix(
                        "remove",
                        "Takes it out of the model.",
                        ModelEdits.InModel(
                            setup,
                            $"Remove {sensor.Label}",
                            m => m with { Sensors = m.Sensors.Remove(id) }
                        )
                    ),
                ]
            );
        }
    }
}
