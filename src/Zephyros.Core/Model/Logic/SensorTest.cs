using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Logic;

/// <summary>A telemetry value lies below or above a limit; never while telemetry is lost.</summary>
public sealed record SensorTest : Test
{
    /// <summary>The id of the sensor.</summary>
    [Description("The id of the sensor.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Sensor { get; init; }

    /// <summary>On which side of the limit it must lie.</summary>
    [Description("On which side of the limit the reading must lie.")]
    public required Relation Relation { get; init; }

    /// <summary>The limit, in the sensor's unit.</summary>
    [Description("The limit, in the sensor's unit.")]
    [Range(-1e6, 1e6)]
    public required Reading Limit { get; init; }
}
