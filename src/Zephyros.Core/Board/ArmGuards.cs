using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board asks for before it arms, beyond a low throttle, a signal and the switch seen off; and how it disarms.</summary>
/// <remarks>Consent and conflicting functions (automatic trim, automatic tuning) need no setting: they guard as soon as the board has
/// such a function. Common practice, no source (job.md 9).</remarks>
public sealed record ArmGuards
{
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
}
