using System.ComponentModel;

namespace Zephyros.Core.Model;

/// <summary>Replaces the value by another one; usually under a condition.</summary>
public sealed record SwitchOverStep : ChainStep
{
    /// <summary>What goes on instead of the value that comes in.</summary>
    [Description("What goes on instead of the value that comes in.")]
    public required Operand With { get; init; }
}
