using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A dial that stays where it is put.</summary>
public sealed record DialControl : Control
{
    /// <summary>Where the fingers find it.</summary>
    [Description("Where the fingers find the dial.")]
    public required ControlPlace Place { get; init; }

    /// <summary>Where it stands at switch-on, in percent.</summary>
    [Description("Where the dial stands at switch-on, in percent.")]
    [Range(-100, 100)]
    public Percent Start { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => Start;

    /// <inheritdoc />
    public override Percent? Read(double setting) => ContinuousTravel.Read(setting);
}
