using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Model.Speech;

/// <summary>A reading that is spoken after the words of an announcement.</summary>
public sealed record SpokenValue
{
    /// <summary>The id of the sensor.</summary>
    [Description("The id of the sensor whose reading is spoken.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Sensor { get; init; }

    /// <summary>Which of its readings.</summary>
    [Description("Which of its readings is spoken.")]
    public SpokenReading Reading { get; init; }
}
