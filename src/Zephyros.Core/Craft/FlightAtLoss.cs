using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>The flight that a loss of the signal is reckoned with: how fast, how high, in which wind, and who stands where.</summary>
public sealed record FlightAtLoss
{
    /// <summary>What a loss is reckoned with before anything is written down: our own assumption.</summary>
    public static readonly FlightAtLoss Usual = new()
    {
        Speed = new(15),
        Height = new(30),
        Wind = new(5),
    };

    /// <summary>How fast the craft flies over the ground, level, when the last packet comes.</summary>
    [Description("How fast the craft flies over the ground when the last packet comes, in metres a second.")]
    [Range(0, 100)]
    public required MetresPerSecond Speed { get; init; }

    /// <summary>How fast it climbs then, less than 0 when it dives.</summary>
    [Description(
        "How fast the craft climbs when the last packet comes, in metres a second; less than 0 when it dives."
    )]
    [Range(-50, 50)]
    public MetresPerSecond Climb { get; init; }

    /// <summary>How high it is then.</summary>
    [Description("How high the craft is when the last packet comes, in metres.")]
    [Range(0, 5000)]
    public required Metres Height { get; init; }

    /// <summary>The wind, from wherever it comes.</summary>
    [Description("The wind, from wherever it comes, in metres a second.")]
    [Range(0, 50)]
    public MetresPerSecond Wind { get; init; }

    /// <summary>How fast it comes down in a landing by itself.</summary>
    [Description("How fast the craft comes down in a landing by itself, in metres a second.")]
    [Range(0.1, 30)]
    public MetresPerSecond Descent { get; init; } = new(2);

    /// <summary>The speed at which it falls in the end, motors off, when the air carries its weight; null when the air is left out, which
    /// brings it down soonest and furthest.</summary>
    [Description(
        "The speed at which the craft falls in the end with its motors off, in metres a second; without it the air does not brake."
    )]
    [Range(3, 100)]
    public MetresPerSecond? FallsAt { get; init; }

    /// <summary>What it weighs, battery included; null when it is not known: the impact has no energy then.</summary>
    [Description("What the craft weighs, battery included, in grams.")]
    [Range(10, 25000)]
    public Grams? Mass { get; init; }

    /// <summary>How far the pilot stands from where the craft is then; null when that is not looked at.</summary>
    [Description("How far the pilot stands from the craft when the last packet comes, in metres.")]
    [Range(0, 100000)]
    public Metres? Pilot { get; init; }

    /// <summary>How far the nearest people, road or house are from where the craft is then; null when that is not looked at.</summary>
    [Description("How far the nearest people, road or house are from the craft when the last packet comes, in metres.")]
    [Range(0, 100000)]
    public Metres? Line { get; init; }

    /// <summary>How far away the pilot, or who watches for the pilot, still sees how the craft lies; null when that is not looked at.</summary>
    [Description("How far away the pilot, or who watches for the pilot, still sees how the craft lies, in metres.")]
    [Range(10, 10000)]
    public Metres? Sight { get; init; }
}
