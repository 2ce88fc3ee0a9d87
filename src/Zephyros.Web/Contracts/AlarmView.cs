using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Trial;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>An alarm of a model.</summary>
/// <param name="Id">The id of its condition.</param>
/// <param name="Label">Its words.</param>
/// <param name="SensorId">The id of the sensor that it looks at.</param>
/// <param name="Sensor">What it warns of.</param>
/// <param name="Unit">The unit of its level.</param>
/// <param name="Level">The level.</param>
/// <param name="Wait">How long a reading must be below.</param>
/// <param name="OfBattery">True when it warns of the battery, false when it warns of the link.</param>
/// <param name="Over">Above this reading it is over, where that is not the level itself; null otherwise.</param>
/// <param name="Forces">What it forces on channels while it holds, in words.</param>
/// <param name="RaisedOver">Where it must be over while its limit stands elsewhere for a test; null otherwise.</param>
public sealed record AlarmView(
    string Id,
    string Label,
    string SensorId,
    string Sensor,
    string Unit,
    Reading Level,
    Milliseconds Wait,
    bool OfBattery,
    Reading? Over,
    Reading? RaisedOver,
    IReadOnlyList<string> Forces
)
{
    /// <summary>The view of an alarm of a setup.</summary>
    public static AlarmView Of(Setup setup, Alarm alarm) =>
        new(
            alarm.Id,
            alarm.Condition.Label,
            alarm.SensorId,
            alarm.Sensor.Label,
            alarm.Sensor.Unit,
            alarm.Level.Limit,
            alarm.Wait,
            alarm.OfBattery,
            alarm.Over,
            setup.Model.Raised.TryGetValue(alarm.Id, out var raised) ? RaisedLimit.OverAt(alarm, raised) : null,
            [.. ConditionEffects.Forced(setup.Model, ModelGraph.Of(setup.Model), alarm.Id)]
        );
}
