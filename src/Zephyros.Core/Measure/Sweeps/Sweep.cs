using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>What the board shows of a stick channel while the stick is swept from end to end and let go.</summary>
public sealed record Sweep
{
    /// <summary>The lowest value.</summary>
    [Description("The lowest value that the board shows, in microseconds.")]
    [Range(700, 2300)]
    public required Microseconds Low { get; init; }

    /// <summary>The value at the centre; for a throttle, halfway.</summary>
    [Description("The value at the centre, in microseconds.")]
    [Range(700, 2300)]
    public required Microseconds Centre { get; init; }

    /// <summary>The highest value.</summary>
    [Description("The highest value that the board shows, in microseconds.")]
    [Range(700, 2300)]
    public required Microseconds High { get; init; }

    /// <summary>How far the value wanders while nothing is moved, from lowest to highest.</summary>
    [Description("How far the value wanders while nothing is moved, in microseconds.")]
    [Range(0, 200)]
    public Microseconds Jitter { get; init; }
}
