using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Setups;

/// <summary>Figures that the pilot sets and promises are measured against. The defaults are our own.</summary>
public sealed record PilotLimits
{
    /// <summary>So long after the last frame the board must have begun its procedure, 100 to 60 000 ms.</summary>
    [Figure(
        Station.Board,
        "A loss must be acted on within",
        ProvenanceKind.OwnAssumption,
        Note = "a limit that the pilot sets"
    )]
    [Description("So long after the last frame the board must have begun its loss procedure, in milliseconds.")]
    [Range(100, 60000)]
    public Milliseconds LossNoticedWithin { get; init; } = new(1000);

    /// <summary>The throttle must not grow by more than this share of its travel, 5 to 100 %, within <see cref="JumpWithin"/>.</summary>
    [Description(
        "The throttle must not grow by more than this share of its travel within the movement beside it, in percent."
    )]
    [Range(5, 100)]
    public Percent JumpShare { get; init; } = new(30);

    /// <summary>The movement of the throttle stick, as a share of its travel, 1 to 50 %.</summary>
    [Description(
        "The movement of the throttle stick within which the throttle must not jump, in percent of its travel."
    )]
    [Range(1, 50)]
    public Percent JumpWithin { get; init; } = new(5);
}
