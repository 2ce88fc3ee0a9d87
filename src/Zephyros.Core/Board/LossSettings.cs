using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>What the board does after it knows that the signal is lost (times from memory).</summary>
public sealed record LossSettings
{
    /// <summary>How long the board waits for frames before its procedure begins; 0 when it begins at once.</summary>
    [Description("How long the board waits for frames before its loss procedure begins, in milliseconds.")]
    [Range(0, 10000)]
    public Milliseconds Grace { get; init; }

    /// <summary>What it flies on meanwhile.</summary>
    [Description("What the board flies on during the grace time.")]
    public GraceValues GraceValues { get; init; }

    /// <summary>What it does then.</summary>
    [Description("What the board does after the grace time.")]
    public LossProcedure Procedure { get; init; }

    /// <summary>How long a landing lasts until the motors stop.</summary>
    [Figure(Station.Board, "A landing after a loss lasts", ProvenanceKind.FromMemory)]
    [Description("How long a landing lasts until the motors stop, in milliseconds.")]
    [Range(100, 600000)]
    public Milliseconds LandingTime { get; init; } = new(10000);

    /// <summary>How it flies home, for <see cref="LossProcedure.ReturnHome"/>.</summary>
    [Description("How the board flies home by itself.")]
    public ReturnSettings Return { get; init; } = new();

    /// <summary>When the pilot gets the craft back from a landing or a return.</summary>
    [Description("When the pilot gets the craft back from a landing or a return that the loss began.")]
    public FlightRecovery Recovery { get; init; }

    /// <summary>A throttle that was low for so long before the procedure means a craft on the ground: the motors then just stop.
    /// Null when the board has no such rule.</summary>
    [Description(
        "When the throttle was low for this long before the procedure, the motors just stop, in milliseconds; without it that makes no difference."
    )]
    [Range(100, 600000)]
    public Milliseconds? LowBefore { get; init; }

    /// <summary>True when the procedure flies only a craft that has been at thrust since it was armed; one that has not stands on the
    /// ground, and its motors just stop.</summary>
    [Description(
        "True when the procedure flies only a craft that has been at thrust since it was armed, and otherwise just stops the motors."
    )]
    public bool FlownOnly { get; init; }

    /// <summary>When the craft beeps by itself.</summary>
    [Description("When the board lets the craft beep by itself on a loss.")]
    public LossBeeper Beeper { get; init; }
}
