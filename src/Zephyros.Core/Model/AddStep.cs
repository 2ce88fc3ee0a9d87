using System.ComponentModel;

namespace Zephyros.Core.Model;

/// <summary>Adds a second value: out = in + operand.</summary>
public sealed record AddStep : ChainStep
{
    /// <summary>What is added.</summary>
    [Description("What is added.")]
    public required Operand With { get; init; }
}
