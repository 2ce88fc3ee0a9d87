using Zephyros.Core.Air;
using Zephyros.Core.Craft;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>The levels and times that are tried for an alarm.</summary>
/// <param name="Levels">The levels in the sensor's unit, rising.</param>
/// <param name="Waits">The times for which a reading must be below, rising.</param>
public sealed record AlarmGrid(IReadOnlyList<Reading> Levels, IReadOnlyList<Milliseconds> Waits)
{
    private const int LevelCount = 40;
    private const int WaitCount = 20;
    private const double WaitStep = 500;

    // Around the level to land: so far below it the lowest, for each cell.
    private const double BelowLand = 0.4;
    private const double CellStep = 0.02;
    private const double LowestQuality = 20;
    private const double QualityStep = 2;

    /// <summary>What is usually tried.</summary>
    public static AlarmGrid Of(Setup setup, Alarm alarm)
    {
        var (first, step) = alarm.Kind switch
        {
            AlarmKind.Battery => (
                setup.Craft.Cells * (CellVoltages.Land(setup.Craft.Chemistry).Value - BelowLand),
                setup.Craft.Cells * CellStep
            ),
            AlarmKind.Strength when alarm.Sensor.Unit != "%" => (
                Math.Floor(LinkBudget.SensitivityOf(setup.Air).Value),
                1
            ),
            AlarmKind.Strength or AlarmKind.LinkQuality or AlarmKind.DownLinkQuality => (LowestQuality, QualityStep),
        };
        return new(
            [.. Enumerable.Range(0, LevelCount).Select(i => new Reading(Math.Round(first + (i * step), 2)))],
            [.. Enumerable.Range(0, WaitCount).Select(i => new Milliseconds(i * WaitStep))]
        );
    }
}
