using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board asks for before it arms, beyond a low throttle, a signal and the switch seen off; and how it disarms.</summary>
/// <remarks>Consent and conflicting functions (automatic trim, automatic tuning) need no setting: they guard as soon as the board has
/// such a function. Common practice, no source.</remarks>
public sealed record ArmGuards
{
    /// <summary>A craft in the hand is tilted by more than this.</summary>
    [Figure(Station.Board, "A craft in the hand is tilted by more than", ProvenanceKind.FromMemory)]
    public static readonly Degrees UsualTilt = new(25);

    /// <summary>The board refuses while the craft is tilted by more than this; null where the guard is lifted.</summary>
    [Description(
        "The board refuses to arm while the craft is tilted by more than this, in degrees; without it never for that."
    )]
    [Range(1, 180)]
    public Degrees? TiltLimit { get; init; }

    /// <summary>True when the board refuses while it is connected for configuration, until that is unlocked.</summary>
    [Description("True when the board refuses to arm while it is connected for configuration, until that is unlocked.")]
    public bool RefusesConnected { get; init; } = true;

    /// <summary>True in the fixed-wing school: the switch disarms only while the throttle is low. A stop control that must always work
    /// asks for false.</summary>
    [Description("True when the arm switch disarms only while the throttle is low, the fixed-wing habit.")]
    public bool DisarmsOnlyWhenLow { get; init; }

    /// <summary>True when the board refuses while the throttle is not low.</summary>
    [Description("True when the board refuses to arm while the throttle is not low.")]
    public bool RefusesThrottle { get; init; } = true;

    /// <summary>True when a refusal stands until the arm switch was seen off; false when the board arms as soon as its guards let it.</summary>
    [Description(
        "True when a refusal stands until the arm switch was off, false when the board arms as soon as its guards let it."
    )]
    public bool RefusalLatches { get; init; } = true;

    /// <summary>How long the board calibrates its sensors after power-up, refusing; null when it does not refuse for that.</summary>
    [Description(
        "How long the board calibrates its sensors after power-up and refuses to arm, in milliseconds; without it never for that."
    )]
    [Range(100, 60000)]
    public Milliseconds? Calibration { get; init; }

    /// <summary>Armed with the throttle low for so long, the board disarms by itself; null when it never does.</summary>
    [Description(
        "Armed with the throttle low for this long, the board disarms by itself, in milliseconds; without it never."
    )]
    [Range(500, 600000)]
    public Milliseconds? DisarmsAfter { get; init; }
}
