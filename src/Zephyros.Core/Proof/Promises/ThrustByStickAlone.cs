using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Around a loss, too, nothing but the throttle stick enters thrust.</summary>
public sealed class ThrustByStickAlone : Promise
{
    /// <inheritdoc />
    public override string Code => "thrust-by-stick-alone";

    /// <inheritdoc />
    public override int Order => 19;

    /// <inheritdoc />
    public override string Name => "Around a loss nothing spins up by itself";

    /// <inheritdoc />
    public override string Title =>
        "Neither a loss nor its return, a loss procedure switched on by hand or the end of one takes idling motors to thrust. What is exempt: a landing or a return home that the pilot has chosen, once the craft has flown since it was armed; and the thrust that a lost signal interrupted.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits | BoardView.WellUpBit, () => new Watcher()) { LooksAt = Roles.ThrottleStick }];

    private sealed class Watcher : Watch
    {
        private const int Flown = 1;
        private const int Thrusting = 2;

        public override Roles Excuses => Roles.ThrottleStick;

        public override int Next(int monitor, in Change change)
        {
            var (before, after) = (change.Before.Board, change.Board);
            if (!after.Armed)
                return 0;
            PremiseReached = true;
            var thrust = after is { Motors: MotorLevel.Thrust, ForSelfRight: false };
            var flies = thrust && after.Signal == BoardSignal.Good;
            var next = monitor | (flies ? Flown : 0);
            // What it did when its signal was good last is what it may go on with.
            if (change.Frames && after.Signal == BoardSignal.Good)
                next = flies ? next | Thrusting : next & ~Thrusting;
            if (!thrust || before.Motors == MotorLevel.Thrust)
                return next;
            // Movements while the signal is good have their own promise.
            if (before.Signal == BoardSignal.Good && after.Signal == BoardSignal.Good)
                return next;
            var byItself = after.Signal is BoardSignal.Landing or BoardSignal.Returning;
            if (byItself)
                return (monitor & Flown) != 0 ? next : Broken;
            // Right at the threshold a limiter may lift a throttle over it; a hand feels more than that.
            var felt = change.View.Has(BoardView.WellUpBit) || !change.View.Has(BoardView.ThrustBit);
            var goesOn = (monitor & Thrusting) != 0;
            return felt && !goesOn && !change.By(Roles.ThrottleStick) ? Broken : next;
        }
    }
}
