using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>Something that was read at the transmitter of an alarm: its sensor, or its limit.</summary>
/// <param name="Reads">The reading, in the sensor's unit.</param>
public sealed record AlarmReadRequest([property: Range(-Sensor.Furthest, Sensor.Furthest)] Reading Reads);
