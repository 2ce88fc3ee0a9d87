using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Hands;

/// <summary>A control without positions that stays where it is put: a dial, a slider, an external input.</summary>
public abstract record TravellingControl : PlacedControl
{
    /// <summary>Where it stands at switch-on, in percent.</summary>
    [Description("Where the control stands at switch-on, in percent.")]
    [Range(-100, 100)]
    public Percent Start { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override Percent StartValue => Start;

    /// <inheritdoc />
    public override Percent? Read(double setting) => ContinuousTravel.Read(setting);
}
