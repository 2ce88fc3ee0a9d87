using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A gauge ends below what its sensor reads when all is well: a full battery, a strong signal.</summary>
public sealed class GaugeTooShort : IFindingRule
{
    [Figure(
        Station.Return,
        "A strength in percent passes 100, so that its gauge goes to",
        ProvenanceKind.CommonPractice,
        Unit = "%"
    )]
    private const double StrengthTop = 110;

    private const double QualityTop = 100;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, sensor) in SensorFaults.Sensors(plan.Setup))
        {
            if (sensor.Gauge is not { } gauge || Best(plan.Setup, sensor) is not var (best, words, top))
                continue;
            if (gauge.To >= best)
                continue;
            yield return ReturnCaution.Of(
                $"gauge-too-short:{id}",
                $"/model/sensors/{id}/gauge/to",
                $"The gauge of {sensor.Label} ends below {words}",
                $"It is full at {sensor.Words(gauge.To)}; {words} reads {sensor.Words(best)}.",
                "The bar stands at its end and does not move while the reading falls.",
                [
                    SensorFaults.Changing(
                        plan.Setup,
                        "longer",
                        $"The gauge ends at {sensor.Words(top)}.",
                        $"The gauge of {sensor.Label} up to {sensor.Words(top)}",
                        id,
                        sensor with
                        {
                            Gauge = gauge with { To = top },
                        }
                    ),
                ]
            );
        }
    }

    // What it reads at best, in words, and where its gauge should end: a battery's at the next whole volt.
    private static (Reading Best, string Words, Reading Top)? Best(Setup setup, Sensor sensor) =>
        (sensor.Measures, sensor.Unit) switch
        {
            (SensorSubject.Voltage, "V") when sensor.MeasuredBy == SensorOrigin.Board => Battery(setup.Craft),
            (SensorSubject.LinkQuality or SensorSubject.DownLinkQuality, "%") => (
                new(QualityTop),
                "a link that loses nothing",
                new(QualityTop)
            ),
            (_, "%") when sensor.Measures == SensorSubject.Strength => (
                new(StrengthTop),
                "a strong signal",
                new(StrengthTop)
            ),
            _ => null,
        };

    private static (Reading, string, Reading) Battery(CraftDescription craft)
    {
        var full = craft.Cells * CellVoltages.Full(craft.Battery?.Chemistry ?? default).Value;
        return (new(Math.Round(full, 2)), "a full battery", new(Math.Ceiling(full)));
    }
}
