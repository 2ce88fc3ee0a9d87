using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A level that is meant for the flight battery is compared with the supply of receiver or transmitter.</summary>
public sealed class VoltageOfWrongOrigin : IFindingRule
{
    [Figure(
        Station.Return,
        "A receiver is fed with no more than",
        ProvenanceKind.CommonPractice,
        Note = "a level above it is meant for a flight battery"
    )]
    private static readonly Volts MostFed = new(5.5);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        foreach (
            var low in LevelTest.OfBattery(setup, SensorOrigin.Receiver).Where(l => l.Test.Limit.Value > MostFed.Value)
        )
        {
            var right = setup
                .Model.Sensors.Where(s =>
                    s.Value is { Measures: SensorSubject.Voltage, MeasuredBy: SensorOrigin.Board }
                )
                .OrderBy(s => s.Key, StringComparer.Ordinal)
                .ToArray();
            yield return new Finding
            {
                Key = $"voltage-of-wrong-origin:{low.Id}",
                Severity = Severity.Danger,
                Station = Station.Return,
                Place = $"/model/conditions/{low.Id}/test",
                Title = $"“{low.Condition.Label}” watches the receiver's supply, not the battery",
                What =
                    $"{low.Sensor.Label} is {SensorSubject.Voltage.Words(SensorOrigin.Receiver)}, commonly about 5 V; the level is {low.Sensor.LimitWords(low.Test.Limit)}.",
                Why =
                    "The supply stays as it is until the flight battery is all but empty. Below such a level it always is, so the alarm tells nothing.",
                Provenance = Provenance.Practice(),
                MayBeJustified = false,
                Fixes =
                [
                    .. right.Select(s => new Fix(
                        $"ask-{s.Key}",
                        $"Asks {s.Value.Label}, which is {SensorSubject.Voltage.Words(SensorOrigin.Board)}.",
                        low.Asking(
                            setup,
                            $"“{low.Condition.Label}” asks {s.Value.Label}",
                            low.Test with
                            {
                                Sensor = s.Key,
                            }
                        )
                    )),
                ],
            };
        }
    }
}
