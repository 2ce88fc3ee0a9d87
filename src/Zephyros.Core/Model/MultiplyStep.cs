using System.ComponentModel;

namespace Zephyros.Core.Model;

/// <summary>Multiplies by a second value taken as a share: out = in x operand / 100.</summary>
public sealed record MultiplyStep : ChainStep
{
    /// <summary>The share by which the value is multiplied; 100 % leaves it as it is.</summary>
    [Description("The share by which the value is multiplied; 100 % leaves it as it is.")]
    public required Operand With { get; init; }
}
