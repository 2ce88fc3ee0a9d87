using Zephyros.Core.Craft;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>What comes back from a craft.</summary>
/// <param name="Interval">How far packets of telemetry are apart.</param>
/// <param name="BoardMessages">What the board sends, in turn, one in each packet.</param>
/// <param name="BoardObstacle">Why nothing of the board comes; null when it does.</param>
/// <param name="Sensors">How the readings of each sensor come, by its id.</param>
/// <param name="Measures">What each sensor measures, in words, by its id.</param>
/// <param name="Units">The units in which each sensor can be read, by its id; none for one that can have any.</param>
/// <param name="Speech">How each announcement is spoken, by its id.</param>
/// <param name="Expected">What a search for sensors should find.</param>
/// <param name="Simulated">The keys of what one on the bench finds.</param>
/// <param name="Full">A full battery.</param>
/// <param name="Lead">What must be left for the way home; null where it cannot be worked out.</param>
public sealed record ReturnView(
    Milliseconds Interval,
    IReadOnlyList<ReturnMessage> BoardMessages,
    ReturnObstacle? BoardObstacle,
    IReadOnlyDictionary<string, SensorWay> Sensors,
    IReadOnlyDictionary<string, string> Measures,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Units,
    IReadOnlyDictionary<string, SpeechView> Speech,
    IReadOnlyList<ExpectedSensor> Expected,
    IReadOnlyList<string> Simulated,
    Volts Full,
    LeadView? Lead
)
{
    /// <summary>Computes the view of a setup.</summary>
    public static ReturnView Of(SignalPlan signal)
    {
        var setup = signal.Setup;
        var plan = ReturnPlan.Of(setup);
        var cell = CellVoltages.Full(setup.Craft.Chemistry);
        return new(
            new(plan.Interval.TotalMilliseconds),
            plan.BoardMessages,
            plan.BoardObstacle,
            plan.Sensors,
            setup.Model.Sensors.ToDictionary(
                s => s.Key,
                s => Core.Model.SensorSubjects.Words(s.Value.Measures, s.Value.MeasuredBy),
                StringComparer.Ordinal
            ),
            setup.Model.Sensors.ToDictionary(
                s => s.Key,
                s => Core.Model.SensorSubjects.Units(s.Value.Measures),
                StringComparer.Ordinal
            ),
            SpeechView.Of(signal),
            SensorSearch.Expected(setup),
            SensorSearch.Simulated(setup),
            new Volts(Math.Round(cell.Value * setup.Craft.Cells, 2)),
            LeadView.Of(setup)
        );
    }
}
