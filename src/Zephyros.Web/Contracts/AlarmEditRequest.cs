using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>Another level of an alarm, and another time for which a reading must be below it.</summary>
/// <param name="Alarm">The id of the alarm.</param>
/// <param name="Level">The level, in the sensor's unit.</param>
/// <param name="Wait">The time.</param>
public sealed record AlarmEditRequest(
    string Alarm,
    [property: Range(-Sensor.Furthest, Sensor.Furthest)] Reading Level,
    [property: Range(0, 600000)] Milliseconds Wait
);
