using Zephyros.Core.Board;
using Zephyros.Core.Proof.Promises;

namespace Zephyros.Core.Proof.Situations;

/// <summary>One transition, as a promise looks at it.</summary>
/// <param name="Before">The situation before.</param>
/// <param name="Kind">What happened.</param>
/// <param name="Roles">For a movement: what the moved controls are to the promise. When the transmitter reaches the receiver again after
/// one of <see cref="Watch.Excuses"/> was moved: those.</param>
/// <param name="Board">The board after.</param>
/// <param name="Radio">The radio after.</param>
/// <param name="Fix">True when the board has a position fix after it.</param>
/// <param name="Frames">True when good frames arrive at the board after it, by radio or not.</param>
/// <param name="View">What the board reads from them, and whether the throttle stick is low; nothing when none arrive.</param>
/// <param name="StickLow">True when the throttle stick is low itself; only while the transmitter is on.</param>
/// <param name="Missed">True when frames arrive again that were missing for less than the board's time: it sees at once what was moved
/// meanwhile.</param>
/// <param name="Trembles">True when the reading before or after lies beside what is sent; only where the watch asks.</param>
/// <param name="Sent">What the board would read from what the transmitter sends, whether it arrives or not; nothing while it is off.</param>
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
    int Cues,
    bool Missed = false,
    bool Trembles = false,
    BoardView Sent = default
)
{
    /// <summary>The board goes from disarmed to armed.</summary>
    public bool Arms => !Before.Board.Armed && Board.Armed;

    /// <summary>A hand did it.</summary>
    public bool ByHand => Kind == MoveKind.Input && (Roles & Roles.Telemetry) == 0;

    /// <summary>True when the board sees what a hand did: at once, or with the first frame after some were missing.</summary>
    public bool AtOnce => Kind == MoveKind.Input || Missed;

    /// <summary>True when a moved control has one of these roles.</summary>
    public bool By(Roles roles) => (Roles & roles) != 0;
}
