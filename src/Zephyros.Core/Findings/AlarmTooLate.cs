using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>When the battery alarm speaks, too little is left for the way home.</summary>
public sealed class AlarmTooLate : IFindingRule
{
    private const double Step = 0.05;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var craft = plan.Setup.Craft;
        if (craft.WayHome is not { } way || BatteryModel.Of(craft) is not { } model)
            yield break;
        if (NeededLead.Of(craft) is not { } lead)
        {
            yield return NeverHome(way);
            yield break;
        }

        foreach (var low in LevelTest.OfBattery(plan.Setup, SensorOrigin.Board).Where(l => l.Spoken(plan.Setup).Any()))
        {
            var left = new Percent(100 * NeededLead.LeftAt(model, new Volts(low.Test.Limit.Value), way.Current));
            if (left >= lead.Share)
                continue;
            var level = new Volts(Math.Round(Math.Ceiling(lead.Voltage.Value / Step) * Step, 2));
            yield return new Finding
            {
                Key = $"alarm-too-late:{low.Id}",
                Severity = Severity.Danger,
                Station = Station.Return,
                Place = $"/model/conditions/{low.Id}/test",
                Title = $"“{low.Condition.Label}” comes too late for the way home",
                What =
                    $"At {low.Sensor.LimitWords(low.Test.Limit)} under {way.Current} some {Figures.Plain(left.Value, 0)} % are left; the way home takes {Figures.Plain(lead.Share.Value, 0)} % ({Figures.Plain(lead.Charge.Value, 0)} mAh in {Figures.Plain(lead.Time.TotalSeconds, 0)} s).",
                Why =
                    "The craft comes down before it is home. What is left at a voltage is our own model of the battery: a flight shows it.",
                Provenance = Provenance.Own(
                    "distance / (speed − wind) + height / descent + reserve, at the current of the way"
                ),
                MayBeJustified = true,
                Fixes =
                    lead.Share.Value < 100
                        ? [new Fix("level", $"Speaks below {level}.", low.At(plan.Setup, new(level.Value)))]
                        : [],
            };
        }
    }

    private static Finding NeverHome(WayHome way) =>
        new()
        {
            Key = "alarm-too-late:wind",
            Severity = Severity.Danger,
            Station = Station.Return,
            Place = "/craft/wayHome/wind",
            Title = "Against this wind the craft never comes home",
            What = $"It flies home at {way.Speed}, and the wind blows at {way.Wind}.",
            Why = "No alarm can be early enough.",
            Provenance = Provenance.Computed("distance / (speed − wind)"),
            MayBeJustified = false,
            Fixes = [],
        };
}
