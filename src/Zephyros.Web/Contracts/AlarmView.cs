using Zephyros.Core.Flights;
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
public sealed record AlarmView(
    string Id,
    string Label,
    string SensorId,
    string Sensor,
    string Unit,
    Reading Level,
    Milliseconds Wait,
    bool OfBattery
)
{
    /// <summary>The view of an alarm.</summary>
    public static AlarmView Of(Alarm alarm) =>
        new(
            alarm.Id,
            alarm.Condition.Label,
            alarm.SensorId,
            alarm.Sensor.Label,
            alarm.Sensor.Unit,
            alarm.Level.Limit,
            alarm.Wait,
            alarm.OfBattery
        );
}
