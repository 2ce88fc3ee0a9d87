using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Thrust is entered by the throttle stick only.</summary>
public sealed class NoSwitchAddsThrust : Promise
{
    /// <inheritdoc />
    public override string Code => "no-switch-adds-thrust";

    /// <inheritdoc />
    public override int Order => 5;

    /// <inheritdoc />
    public override string Name => "Thrust is entered by the throttle stick only";

    /// <inheritdoc />
    public override string Title =>
        "No switch, dial, time or telemetry value adds thrust: armed, thrust is entered by the throttle stick only. Turning over after a crash is exempt.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits | BoardView.WellUpBit, () => new Watcher()) { LooksAt = Roles.ThrottleStick }];

    private sealed class Watcher : Watch
    {
        public override Roles Excuses => Roles.ThrottleStick;

        public override int Next(int monitor, in Change change)
        {
            var (before, after) = (change.Before.Board, change.Board);
            if (after.Motors != MotorLevel.Thrust || after.ForSelfRight || after.Signal != BoardSignal.Good)
                return 0;
            PremiseReached = true;
            if (!before.Armed || before.Signal != BoardSignal.Good || before.Motors == MotorLevel.Thrust)
                return 0;
            // Right at the threshold a limiter may lift a throttle over it; a hand feels more than that.
            var felt = change.View.Has(BoardView.WellUpBit) || !change.View.Has(BoardView.ThrustBit);
            return felt && !change.By(Roles.ThrottleStick) ? Broken : 0;
        }
    }
}
