using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>A sensor is written in a unit in which what it measures does not come.</summary>
public sealed class SensorUnitOff : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from sensor in SensorFaults.Sensors(plan.Setup)
        let subject = sensor.Value.Measures
        where subject != SensorSubject.Other && !subject.Understands(sensor.Value.Unit)
        // A strength is shown in percent by some transmitters.
        where (subject, sensor.Value.Unit) != (SensorSubject.Strength, "%")
        select ReturnCaution.Of(
            $"sensor-unit-off:{sensor.Key}",
            $"/model/sensors/{sensor.Key}/unit",
            $"{sensor.Value.Label} is written in {Named(sensor.Value.Unit)}",
            $"It measures {subject.Words(sensor.Value.MeasuredBy)}, which comes in {Named(subject.Unit())}.",
            "Limits and gauges are in the sensor's unit: one of them means something else than what is read.",
            [
                new Fix(
                    "unit",
                    $"Writes it in {Named(subject.Unit())}; look at its limits.",
                    SensorEdits.InUnit(plan.Setup, sensor.Key, subject.Unit())
                ),
            ]
        );

    private static string Named(string unit) => unit.Length > 0 ? unit : "no unit";
}
