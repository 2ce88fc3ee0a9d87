using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>How the transmitter's display shows a sensor: a bar between two ends, on a page.</summary>
public sealed record SensorGauge
{
    /// <summary>So many pages a display has. Common practice, no source.</summary>
    public const int Pages = 4;

    /// <summary>The reading at which the bar is empty, in the sensor's unit.</summary>
    [Description("The reading at which the bar is empty, in the sensor's unit.")]
    [Range(-Sensor.Furthest, Sensor.Furthest)]
    public required Reading From { get; init; }

    /// <summary>The reading at which the bar is full; above <see cref="From"/>.</summary>
    [Description("The reading at which the bar is full.")]
    [Range(-Sensor.Furthest, Sensor.Furthest)]
    public required Reading To { get; init; }

    /// <summary>The page of the display, 1 to <see cref="Pages"/>.</summary>
    [Description("The page of the transmitter's display.")]
    [Range(1, Pages)]
    public int Page { get; init; } = 1;
}
