using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>What a pilot reads off a board, as the answer to one step of a guided routine.</summary>
public sealed record TypedReading
{
    /// <summary>The bar that answered; null for a switch, and where the step knows it.</summary>
    [Description("The bar that answered; without one for a switch, and where the step knows it.")]
    public StickAxis? Bar { get; init; }

    /// <summary>What the bar shows, or each channel of the switch in the order asked for; none leaves the step out.</summary>
    [Description("What the board shows, in microseconds, in the order asked for; none leaves the step out.")]
    [Range(700, 2300)]
    public ImmutableArray<Microseconds> Values { get; init; } = [];

    /// <summary>How far the value wanders while nothing is moved, from lowest to highest.</summary>
    [Description("How far the value wanders while nothing is moved, in microseconds.")]
    [Range(0, 200)]
    public Microseconds Jitter { get; init; }
}
