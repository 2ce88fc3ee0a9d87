using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>A switch at its safe end is never more hazardous than elsewhere.</summary>
public sealed class SafeEndIsSafe : Promise
{
    /// <inheritdoc />
    public override string Code => "safe-end-is-safe";

    /// <inheritdoc />
    public override int Order => 14;

    /// <inheritdoc />
    public override string Name => "A switch at its safe end is never more hazardous than elsewhere";

    /// <inheritdoc />
    public override string Title =>
        "Putting a switch to its safe end never lets the motors do more than before, the rest equal (off, idle, idle with control, thrust).";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Practice("in a panic everything goes to the safe end");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [
            new(plan.Board.MotorBits | BoardView.WellUpBit, () => new Watcher())
            {
                LooksAt = Roles.ToSafeEnd | Roles.NotToSafeEnd,
            },
        ];

    private sealed class Watcher : Watch
    {
        public override bool LooksAtTremble => true;

        public override int Next(int monitor, in Change change)
        {
            PremiseReached |= change.Board.Armed;
            // Right at the threshold a limiter may lift a throttle over it; a hand feels more than that.
            var felt =
                change.Board.Motors != MotorLevel.Thrust
                || change.View.Has(BoardView.WellUpBit)
                || !change.View.Has(BoardView.ThrustBit);
            // Two hands are judged together, and what only a tremble changes is not blamed on the switch.
            var toSafety =
                change.Kind == MoveKind.Input
                && change.By(Roles.ToSafeEnd)
                && !change.By(Roles.NotToSafeEnd)
                && !change.Trembles;
            return toSafety && felt && change.Board.Motors > change.Before.Board.Motors ? Broken : 0;
        }
    }
}
