using Zephyros.Core.Board;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Waits for something that must be reachable, and tells it as a hit.</summary>
internal sealed class GoalWatch(Func<BoardState, BoardView, bool> goal) : Watch
{
    public override int Next(int monitor, in Change change) => goal(change.Board, change.View) ? Broken : 0;
}
