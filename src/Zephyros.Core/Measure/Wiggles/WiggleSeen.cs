using System.ComponentModel;
using Zephyros.Core.Hands;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>One stick was moved, and the board showed something.</summary>
public sealed record WiggleSeen
{
    /// <summary>The stick that was moved, by what it is meant to steer.</summary>
    [Description("The stick that was moved, by what it is meant to steer.")]
    public required StickAxis Moved { get; init; }

    /// <summary>The bar that answered.</summary>
    [Description("The bar of the board that answered.")]
    public required StickAxis Bar { get; init; }

    /// <summary>True when the bar went the wrong way (up, right and forward should make it grow); null when that was not looked at.</summary>
    [Description("True when the bar went the wrong way; without one when that was not looked at.")]
    public bool? Reversed { get; init; }
}
