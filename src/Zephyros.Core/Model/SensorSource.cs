using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model;

/// <summary>Takes a telemetry value: its number, in the sensor's own unit, is read as percent. While telemetry is lost the last
/// number stays, as on a transmitter.</summary>
public sealed record SensorSource : Source
{
    /// <summary>The id of the sensor.</summary>
    [Description("The id of the sensor whose number is read as percent.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Sensor { get; init; }
}
