using System.ComponentModel;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A push button: on while it is held, or, when it latches, from one push to the next.</summary>
public sealed record ButtonControl : PlacedControl
{
    /// <summary>True when a push stays in until the next push.</summary>
    [Description("True when a push stays in until the next push; false when the button is on only while held.")]
    public bool Latching { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => Percent.Low;

    /// <inheritdoc />
    [JsonIgnore]
    public override double StartSetting => 0;

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<ControlPosition> NamedPositions =>
        Latching ? [new(0, "out"), new(1, "in")] : [new(0, "released"), new(1, "held")];

    /// <inheritdoc />
    public override Percent? Read(double setting) =>
        setting switch
        {
            0 => Percent.Low,
            1 => Percent.High,
            _ => null,
        };
}
