using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The level of a battery alarm does not fit the cells of the craft: it always speaks, or never, or was meant for another pack.</summary>
public sealed class BatteryLevelOff : IFindingRule
{
    [Figure(
        Station.Return,
        "No alarm is meant for a cell below",
        ProvenanceKind.OwnAssumption,
        Note = "a level lower than this was meant for fewer cells"
    )]
    private static readonly Volts LeastMeant = new(2.7);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var craft = plan.Setup.Craft;
        var chemistry = craft.Chemistry;
        foreach (var low in LevelTest.OfBattery(plan.Setup, SensorOrigin.Board))
        {
            var cell = low.Test.Limit.Value / craft.Cells;
            var full = CellVoltages.Full(chemistry);
            // What the sensor itself cannot mean is told of it.
            var beyond = low.Test.Limit < low.Sensor.Lowest || low.Test.Limit > low.Sensor.Highest;
            if (beyond || (cell >= LeastMeant.Value && cell < full.Value))
                continue;
            var level = new Volts(Math.Round(craft.Cells * CellVoltages.Land(chemistry).Value, 2));
            yield return new Finding
            {
                Key = $"battery-level-off:{low.Id}",
                Severity = Severity.Danger,
                Station = Station.Return,
                Place = $"/model/conditions/{low.Id}/test",
                Title =
                    $"“{low.Condition.Label}” asks for {low.Sensor.LimitWords(low.Test.Limit)}, which {craft.Cells} cells do not mean",
                What =
                    $"{low.Sensor.LimitWords(low.Test.Limit)} are {Figures.Plain(cell)} V for each of {craft.Cells} cells.{Confused(low.Test.Limit, craft.Cells, full)}",
                Why =
                    cell >= full.Value
                        ? $"A full pack has {new Volts(full.Value * craft.Cells)}, so the condition holds whatever the battery does: the pilot learns to ignore it."
                        : "The condition does not come before the battery is empty: the craft falls without a word.",
                Provenance = Provenance.Practice("a level is cells times the level of a cell"),
                MayBeJustified = cell < full.Value,
                Fixes =
                [
                    new Fix(
                        "level",
                        $"Asks for {level}: {craft.Cells} × {CellVoltages.Land(chemistry)}.",
                        low.At(plan.Setup, new(level.Value))
                    ),
                ],
            };
        }
    }

    // Pack and cell confused, or the pack of another craft.
    private static string Confused(Reading limit, int cells, Volts full)
    {
        if (cells > 1 && limit.Value >= LeastMeant.Value && limit.Value < full.Value)
            return $" It looks like the level of one cell: the pack has {cells} times as much.";
        var meant = Enumerable
            .Range(2, 13)
            .Where(n => n != cells && limit.Value / n >= 3.1 && limit.Value / n <= 3.7)
            .ToArray();
        return meant.Length > 0 ? $" It would fit {string.Join(" or ", meant)} cells." : "";
    }
}
