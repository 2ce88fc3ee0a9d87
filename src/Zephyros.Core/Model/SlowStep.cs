using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Lets the value change only so fast, upwards and downwards apart.</summary>
public sealed record SlowStep : ChainStep
{
    /// <summary>The fastest rise; 0 for no limit.</summary>
    [Description("The fastest rise in percent a second; 0 for no limit.")]
    [Range(0, 10000)]
    public PercentPerSecond Up { get; init; }

    /// <summary>The fastest fall; 0 for no limit.</summary>
    [Description("The fastest fall in percent a second; 0 for no limit.")]
    [Range(0, 10000)]
    public PercentPerSecond Down { get; init; }
}
