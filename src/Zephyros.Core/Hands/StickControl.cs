using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>One axis of a stick. Which hand moves it follows from the transmitter's stick mode.</summary>
public sealed record StickControl : Control
{
    /// <summary>What the stick commands.</summary>
    [Description("What the stick commands.")]
    public required StickAxis Axis { get; init; }

    /// <summary>Where the stick rests when the transmitter is switched on, in percent.</summary>
    [Description("Where the stick rests at switch-on, in percent.")]
    [Range(-100, 100)]
    public Percent Start { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => Start;

    /// <inheritdoc />
    public override Percent? Read(double setting) => ContinuousTravel.Read(setting);
}
