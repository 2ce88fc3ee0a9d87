using Zephyros.Core.Board;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Promises;

/// <summary>One exploration that a promise asks for.</summary>
/// <param name="Bits">The bits of the board's view that it looks at; what does not influence them is left out.</param>
/// <param name="Watch">Makes what looks at the transitions.</param>
public sealed record PromiseCheck(ulong Bits, Func<Watch> Watch)
{
    /// <summary>A check that something can be reached. It counts as reached when the bench was brought there.</summary>
    public static PromiseCheck Reach(ulong bits, Func<BoardState, BoardView, bool> goal) =>
        new(bits, () => new GoalWatch(goal)) { Goal = goal };

    /// <summary>A check that something is never reached. It counts as broken when the bench was brought there.</summary>
    public static PromiseCheck Never(ulong bits, Func<BoardState, BoardView, bool> goal) =>
        Reach(bits, goal) with
        {
            Unwanted = true,
        };

    /// <summary>What this check is about, where a promise has several; otherwise empty.</summary>
    public string About { get; init; } = "";

    /// <summary>True to start with the guarded controls where the power-on check wants them; false to start with all controls anywhere.</summary>
    public bool DeclaredStart { get; init; }

    /// <summary>What only has to be reachable, of the board and of what it reads; null for a check of every transition. The watch then
    /// tells a hit as it otherwise tells a break.</summary>
    public Func<BoardState, BoardView, bool>? Goal { get; private init; }

    /// <summary>True when <see cref="Goal"/> must never be reached.</summary>
    public bool Unwanted { get; private init; }

    /// <summary>True when what the watch tells as a break must be reachable once its premise has come about.</summary>
    public bool MustBreak { get; init; }

    /// <summary>True when what the watch tells is wanted.</summary>
    internal bool IsWanted => MustBreak || this is { Goal: not null, Unwanted: false };

    /// <summary>The id of a control whose positions it looks at: while its frames arrive, what the board reads has the
    /// <see cref="ProofScope.PositionBit"/> of where it stands. Null when it looks at none; not together with <see cref="Cues"/>.</summary>
    public string? Standing { get; init; }

    /// <summary>The id of a channel that it looks at only at rest, while no delay, press or slow step is under way: while its frames arrive, what
    /// the board reads has <see cref="ProofScope.UnderWayBit"/> or <see cref="ProofScope.OverriddenBit"/> otherwise. Null for none.</summary>
    public string? AtRestOn { get; init; }

    /// <summary>The id of a channel whose every value is looked at afterwards: whatever is carried into it is an input, also where nothing
    /// tells its values apart. Null for none.</summary>
    public string? CourseOf { get; init; }

    /// <summary>The ids of the conditions whose beginning the watch looks at, at most <see cref="ProofScope.MostCues"/>; see <see cref="Change.Cues"/>.</summary>
    public IReadOnlyList<string> Cues { get; init; } = [];

    /// <summary>The roles of controls that the watch looks at.</summary>
    public Roles LooksAt { get; init; }

    /// <summary>The movement that the promise names: a control and its setting; null when it names none.</summary>
    public (string Control, double Setting)? Named { get; init; }
}
