using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>A telemetry sensor as the transmitter's model knows it.</summary>
public sealed record Sensor
{
    /// <summary>No sensor reports more than this to either side, whatever its unit.</summary>
    public const double Furthest = 1e6;

    /// <summary>What it reports, in the pilot's words.</summary>
    [Description("What the sensor reports, in the pilot's words.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The unit of its readings.</summary>
    [Description("The unit of the readings.")]
    [StringLength(8)]
    public string Unit { get; init; } = "";

    /// <summary>What it measures, as far as the bench works it out once the craft is put at a distance.</summary>
    [Description("What the sensor measures, as far as the bench works it out once the craft is put at a distance.")]
    public SensorSubject Measures { get; init; }

    /// <summary>Who measures it; null for whoever usually does.</summary>
    [Description("Who measures it; without one, whoever usually does.")]
    public SensorOrigin? Origin { get; init; }

    /// <summary>How many decimals the transmitter keeps of a reading, rounding half away from zero; null for all that come.</summary>
    [Description("How many decimals the transmitter keeps of a reading; without one, all that come.")]
    [Range(0, 3)]
    public int? Decimals { get; init; }

    /// <summary>How far a reading may lie from what is so, to either side, in the sensor's unit; null when it is not known.</summary>
    [Description("How far a reading may lie from what is so, to either side, in the sensor's unit.")]
    [Range(0, Furthest)]
    public Reading? Accuracy { get; init; }

    /// <summary>How the transmitter's display shows it; null when it does not.</summary>
    [Description("How the transmitter's display shows it; without it, it does not.")]
    public SensorGauge? Gauge { get; init; }

    /// <summary>The lowest reading that can be meant.</summary>
    [Description("The lowest reading that can be meant; a limit below it is implausible.")]
    [Range(-Furthest, Furthest)]
    public required Reading Lowest { get; init; }

    /// <summary>The highest reading that can be meant.</summary>
    [Description("The highest reading that can be meant; a limit above it is implausible.")]
    [Range(-Furthest, Furthest)]
    public required Reading Highest { get; init; }

    /// <summary>What it reports on the bench until it is moved there.</summary>
    [Description("What the sensor reports on the bench until it is moved there.")]
    [Range(-Furthest, Furthest)]
    public required Reading Bench { get; init; }

    /// <summary>Who measures it.</summary>
    [JsonIgnore]
    public SensorOrigin MeasuredBy => Origin ?? Measures.UsualOrigin();

    /// <summary>A reading of this sensor with its unit.</summary>
    public string Words(Reading reading) =>
        WithUnit(Decimals is { } decimals ? Figures.Steady(reading.Value, decimals) : reading.ToString());

    /// <summary>A limit of this sensor with its unit and all its decimals: a limit can lie between two readings.</summary>
    public string LimitWords(Reading limit) => Kept(limit) == limit ? Words(limit) : WithUnit(limit.ToString());

    /// <summary>What the transmitter makes of a reading: it keeps no more than its decimals.</summary>
    public Reading Kept(Reading reading) =>
        Decimals is { } decimals
            ? new Reading(Math.Round(reading.Value, decimals, MidpointRounding.AwayFromZero))
            : reading;

    private string WithUnit(string figure) => Unit.Length > 0 ? $"{figure} {Unit}" : figure;
}
