using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Multiplies by a percentage, then shifts: out = in x scale / 100 + shift.</summary>
public sealed record ScaleStep : ChainStep
{
    /// <summary>The factor; 100 % leaves the value as it is, a negative one turns it round.</summary>
    [Description("The factor in percent; 100 leaves the value as it is.")]
    [Range(-500, 500)]
    public Percent Scale { get; init; } = Percent.High;

    /// <summary>What is added after the multiplication.</summary>
    [Description("What is added after the multiplication, in percent.")]
    [Range(-500, 500)]
    public Percent Shift { get; init; }
}
