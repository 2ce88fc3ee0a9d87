using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>In flight nothing takes the thrust away but the stick and what is declared to.</summary>
public sealed class ThrustStays : Promise
{
    /// <inheritdoc />
    public override string Code => "thrust-stays";

    /// <inheritdoc />
    public override int Order => 18;

    /// <inheritdoc />
    public override string Name => "Nothing but stick, stop and throttle cut takes the thrust away";

    /// <inheritdoc />
    public override string Title =>
        "Well in thrust, only the throttle stick, a stop and a throttle cut that is proven to end thrust from every armed state bring the motors down to idle: no other switch, no telemetry value and no timer does.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("availability in flight, after common practice");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [
            new(plan.Board.MotorBits | BoardView.WellUpBit, () => new Watcher())
            {
                LooksAt = Roles.ThrottleStick | Roles.EndsThrust,
            },
        ];

    private sealed class Watcher : Watch
    {
        private const int WellUp = 1;

        public override Roles Excuses => Roles.ThrottleStick | Roles.EndsThrust;

        public override int Next(int monitor, in Change change)
        {
            var board = change.Board;
            // While frames are missing the board flies on what it had.
            if (!change.Frames || change.Radio != RadioState.Up)
                return board.Motors == MotorLevel.Thrust && board.Signal == BoardSignal.Good ? monitor : 0;
            if (board is { Motors: MotorLevel.Thrust, Signal: BoardSignal.Good, ForSelfRight: false })
                return change.View.Has(BoardView.WellUpBit) ? WellUp : 0;
            if (monitor != WellUp)
                return 0;
            PremiseReached = true;
            // That the motors stand still is another promise; a transmitter that was switched off has given the craft away.
            var falls = board is { Armed: true, Motors: MotorLevel.Idle or MotorLevel.IdleWithControl };
            var excused = change.Kind == MoveKind.TransmitterOn || change.By(Roles.ThrottleStick | Roles.EndsThrust);
            return falls && !excused ? Broken : 0;
        }
    }
}
