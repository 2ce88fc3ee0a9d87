using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A warning asks for a strength in percent that is there even without a signal.</summary>
public sealed class LevelUnderResidue : IFindingRule
{
    [Figure(
        Station.Return,
        "Of a strength in percent there stays after a loss about",
        ProvenanceKind.CommonPractice,
        Unit = "%"
    )]
    private const double Residue = 12;

    [Figure(
        Station.Return,
        "The first warning of a strength in percent comes at",
        ProvenanceKind.CommonPractice,
        Unit = "%"
    )]
    private const double First = 45;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from warning in LevelTest.OfSignal(plan.Setup)
        where warning.Sensor is { Measures: SensorSubject.Strength, Unit: "%" } && warning.Test.Limit.Value <= Residue
        let limit = new Reading(First)
        select new Finding
        {
            Key = $"level-under-residue:{warning.Id}",
            Severity = Severity.Danger,
            Station = Station.Return,
            Place = $"/model/conditions/{warning.Id}/test",
            Title = $"“{warning.Condition.Label}” never comes",
            What =
                $"It asks {warning.Sensor.Label} below {warning.Sensor.LimitWords(warning.Test.Limit)}; about {Figures.Plain(Residue)} % stay when the signal is gone.",
            Why = "The warning is silent while the signal fades, and when it is lost.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix("first", $"Speaks below {warning.Sensor.LimitWords(limit)}.", warning.At(plan.Setup, limit)),
            ],
        };
}
