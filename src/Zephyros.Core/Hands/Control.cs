using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>One control of a transmitter. What it can read and where it rests; what it does is the model's business.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(StickControl), "stick")]
[JsonDerivedType(typeof(SwitchControl), "switch")]
[JsonDerivedType(typeof(ButtonControl), "button")]
[JsonDerivedType(typeof(DialControl), "dial")]
[JsonDerivedType(typeof(SliderControl), "slider")]
[JsonDerivedType(typeof(ExternalInput), "input")]
public abstract record Control
{
    /// <summary>The name of the control on this transmitter.</summary>
    [Description("The name of the control on this transmitter.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Label { get; init; }

    /// <summary>The pilot's own name for it; empty when there is none. Shown first where there is one.</summary>
    [Description("The pilot's own name for the control; shown first where it is not empty.")]
    [StringLength(40)]
    public string Alias { get; init; } = "";

    /// <summary>The name in the transmitter's own short form; empty when the name itself fits.</summary>
    [Description("The name in the transmitter's short form; empty when the name itself fits.")]
    [StringLength(15)]
    public string Short { get; init; } = "";

    /// <summary>Why the pilot wants the transmitter to warn about it at switch-on though nothing here asks for that; empty when it need
    /// not.</summary>
    [Description(
        "Why the transmitter is to warn about it at switch-on though nothing asks for that; empty when it need not."
    )]
    [StringLength(120)]
    public string WarnedBecause { get; init; } = "";

    /// <summary>The value that the control reads in its start position.</summary>
    [JsonIgnore]
    public abstract Percent StartValue { get; }

    /// <summary>The setting of the start position; see <see cref="Read"/>.</summary>
    [JsonIgnore]
    public virtual double StartSetting => StartValue.Value;

    /// <summary>The positions of a control that has some, the safe one first; none for a stick or a dial.</summary>
    [JsonIgnore]
    public virtual IReadOnlyList<ControlPosition> NamedPositions => [];

    /// <summary>The name to show: the alias where there is one.</summary>
    [JsonIgnore]
    public string Name => Alias.Length > 0 ? Alias : Label;

    /// <summary>The value that the control reads when it is put at <paramref name="setting"/>: percent for a stick, a dial,
    /// a slider or an input, the position (1 and up) for a switch, 0 or 1 for a button.</summary>
    /// <returns>The value, or null when the control cannot be put there.</returns>
    public abstract Percent? Read(double setting);
}
