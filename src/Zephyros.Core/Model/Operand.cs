using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>The second value of a step: a source, multiplied and shifted. Its value is source x scale / 100 + shift.</summary>
public sealed record Operand
{
    /// <summary>Where the value is taken from.</summary>
    [Description("Where the second value is taken from.")]
    public required Source Take { get; init; }

    /// <summary>The factor; 100 % leaves the value as it is.</summary>
    [Description("The factor in percent; 100 leaves the value as it is.")]
    [Range(-500, 500)]
    public Percent Scale { get; init; } = Percent.High;

    /// <summary>What is added after the multiplication.</summary>
    [Description("What is added after the multiplication, in percent.")]
    [Range(-500, 500)]
    public Percent Shift { get; init; }
}
