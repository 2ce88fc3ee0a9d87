using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>Something that was read at the transmitter of an alarm: its sensor, or its limit.</summary>
/// <param name="Reads">The reading, in the sensor's unit.</param>
/// <param name="Over">What is read of where the alarm is over; null where it has no such place, or that was not asked.</param>
public sealed record AlarmReadRequest(
    [property: Range(-Sensor.Furthest, Sensor.Furthest)] Reading Reads,
    [property: Range(-Sensor.Furthest, Sensor.Furthest)] Reading? Over = null
);
