using System.ComponentModel;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A push button that is on only while it is held.</summary>
public sealed record ButtonControl : Control
{
    /// <summary>Where the fingers find it.</summary>
    [Description("Where the fingers find the button.")]
    public required ControlPlace Place { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => Percent.Low;

    /// <inheritdoc />
    [JsonIgnore]
    public override double StartSetting => 0;

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<ControlPosition> NamedPositions => [new(0, "released"), new(1, "held")];

    /// <inheritdoc />
    public override Percent? Read(double setting) =>
        setting switch
        {
            0 => Percent.Low,
            1 => Percent.High,
            _ => null,
        };
}
