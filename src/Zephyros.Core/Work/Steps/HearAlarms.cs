using Zephyros.Core.Evidence;
using Zephyros.Core.Flights;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>Every alarm on a reading was heard at the bench, and its level was put back afterwards.</summary>
public sealed class HearAlarms : TickRule
{
    /// <inheritdoc />
    public override string Id => "alarms";

    /// <inheritdoc />
    public override int Order => 116;

    /// <inheritdoc />
    public override string Name => "Hear the alarms, and put their levels back";

    /// <inheritdoc />
    public override string Why =>
        "An alarm that was never heard may be silent; one whose level was raised for a test and left there speaks always.";

    /// <inheritdoc />
    public override string Caution => "Propellers off, craft held down.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Tried;

    /// <inheritdoc />
    protected override string NotNeeded => "Nothing speaks of a reading.";

    /// <inheritdoc />
    protected override string WordsAre => "what is to be heard";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan)
    {
        var model = plan.Setup.Model;
        var ways = ReturnPlan.Of(plan.Setup).Sensors;
        return
        [
            .. from announcement in model.Announcements.OrderBy(a => a.Key, StringComparer.Ordinal)
            where announcement.Value is { Enabled: true, When: not null }
            let id = announcement.Value.When
            let condition = model.Conditions[id]
            let test = TestTrees.SensorTests(condition.Test).LastOrDefault(t => t.Relation == Relation.Below)
            where test is not null
            let sensor = model.Sensors[test.Sensor]
            let over = Alarm.OverOf(condition, test)
            select new Deed(
                announcement.Key,
                $"Set the limit of “{condition.Label}” above what {sensor.Label} reads{(over is null ? "" : ", and where it is over above that")}, and wait. Then set it back, and read it.",
                $"“{announcement.Value.Says}” is spoken{Late(ways[test.Sensor])}. Back again, the limit reads {sensor.LimitWords(test.Limit)}{(over is { } above ? $" and it is over above {sensor.Words(above)}" : "")}, and it is silent.",
                [
                    .. EvidenceBasis.OfParts(
                        plan.Setup,
                        ($"/model/conditions/{id}", $"“{condition.Label}”"),
                        ($"/model/announcements/{announcement.Key}", $"“{announcement.Value.Says}”"),
                        ("/air/telemetry", "whether the link brings telemetry"),
                        ("/board/reports", "how the board's reports come")
                    ),
                ]
            ),
        ];
    }

    private static string Late(SensorWay way) =>
        way.Every is { } every
            ? $", up to {new Milliseconds(Math.Round(every.Value)).Words} later than the limit says"
            : "";
}
