using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A battery alarm speaks of the 0 V that a board reports before it has measured.</summary>
public sealed class BatteryAlarmUnmasked : IFindingRule
{
    // As long as it must hold, the 0 V of power-up are over.
    private static readonly Milliseconds Enough = new(1500);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var low in LevelTest.OfBattery(plan.Setup, SensorOrigin.Board))
        {
            if (!low.Spoken(plan.Setup).Any() || IsMasked(low.Condition.Test, low.Test))
                continue;
            var mask = new Volts(Math.Round(plan.Setup.Craft.Cells * CellVoltages.Mask.Value, 2));
            var above = new SensorTest
            {
                Sensor = low.Test.Sensor,
                Relation = Relation.Above,
                Limit = new Reading(mask.Value),
            };
            yield return new Finding
            {
                Key = $"battery-alarm-unmasked:{low.Id}",
                Severity = Severity.Caution,
                Station = Station.Return,
                Place = $"/model/conditions/{low.Id}/test",
                Title = $"“{low.Condition.Label}” holds at every power-up",
                What =
                    $"It asks whether {low.Sensor.Label} is below {low.Sensor.LimitWords(low.Test.Limit)}, and nothing leaves out 0 V.",
                Why =
                    "A board reports 0 V until it has measured, so the alarm speaks each time a battery is connected, and the pilot learns to ignore it.",
                Provenance = Provenance.Practice("readings below about 1.5 V a cell are left out"),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "mask",
                        $"Leaves out what is not above {mask}.",
                        low.Asking(
                            plan.Setup,
                            $"“{low.Condition.Label}” only above {mask}",
                            new AllTest { Of = [above, low.Test] }
                        )
                    ),
                ],
            };
        }
    }

    // Something else asks the same sensor to lie above a limit, or it must hold for longer than the 0 V last.
    private static bool IsMasked(Test tree, SensorTest low) =>
        TestTrees
            .SensorTests(tree)
            .Any(t => t.Sensor == low.Sensor && t.Relation == Relation.Above && t.Limit.Value > 0) || Waits(tree, low);

    private static bool Waits(Test tree, SensorTest low) =>
        !ReferenceEquals(tree, low)
        && (
            (
                tree is DelayTest delay
                && delay.OnAfter >= Enough
                && TestTrees.SensorTests(tree).Any(t => ReferenceEquals(t, low))
            ) || tree.Parts.Any(part => Waits(part, low))
        );
}
