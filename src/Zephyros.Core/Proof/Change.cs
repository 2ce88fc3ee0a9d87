using Zephyros.Core.Board;

namespace Zephyros.Core.Proof;

/// <summary>One transition, as a promise looks at it.</summary>
/// <param name="Before">The situation before.</param>
/// <param name="Kind">What happened.</param>
/// <param name="Roles">For a movement: what the moved controls are to the promise.</param>
/// <param name="Board">The board after.</param>
/// <param name="Radio">The radio after.</param>
/// <param name="Fix">True when the board has a position fix after it.</param>
/// <param name="Frames">True when good frames arrive at the board after it, by radio or not.</param>
/// <param name="View">What the board reads from them, and whether the throttle stick is low; nothing when none arrive.</param>
/// <param name="StickLow">True when the throttle stick is low itself; only while the transmitter is on.</param>
/// <param name="Cues">Which of the check's <see cref="PromiseCheck.Cues"/> hold, the first in the lowest bit; none while the transmitter is off.</param>
public readonly record struct Change(
    Situation Before,
    MoveKind Kind,
    Roles Roles,
    BoardState Board,
    RadioState Radio,
    bool Fix,
    bool Frames,
    BoardView View,
    bool StickLow,
    int Cues
)
{
    /// <summary>The board goes from disarmed to armed.</summary>
    public bool Arms => !Before.Board.Armed && Board.Armed;

    /// <summary>A hand did it.</summary>
    public bool ByHand => Kind == MoveKind.Input && (Roles & Roles.Telemetry) == 0;

    /// <summary>True when a moved control has one of these roles.</summary>
    public bool By(Roles roles) => Kind == MoveKind.Input && (Roles & roles) != 0;
}
