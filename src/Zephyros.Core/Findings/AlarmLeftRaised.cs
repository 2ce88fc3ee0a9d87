using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The limit of an alarm stands elsewhere at the transmitter since a test, and was not read back.</summary>
public sealed class AlarmLeftRaised : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from raised in plan.Setup.Model.Raised.OrderBy(r => r.Key, StringComparer.Ordinal)
        let condition = plan.Setup.Model.Conditions[raised.Key]
        let asked = TestTrees.SensorTests(condition.Test).FirstOrDefault()
        let stands = asked is null
            ? raised.Value.ToString()
            : plan.Setup.Model.Sensors[asked.Sensor].Words(raised.Value)
        select new Finding
        {
            Key = $"alarm-left-raised:{raised.Key}",
            Severity = Severity.Danger,
            Station = Station.Return,
            Place = $"/model/raised/{raised.Key}",
            Title = $"“{condition.Label}” was raised for a test",
            What = $"At the transmitter its limit stands at {stands}, and nobody has read the old one back yet.",
            Why = "It speaks from take-off on, and is taken for a fault, until it is switched off and missed.",
            Provenance = Provenance.Practice("set it back, and read it"),
            MayBeJustified = false,
            Fixes = [],
        };
}
