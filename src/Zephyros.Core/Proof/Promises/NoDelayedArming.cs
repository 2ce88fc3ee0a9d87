using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Nothing arms later on.</summary>
public sealed class NoDelayedArming : Promise
{
    /// <inheritdoc />
    public override string Code => "no-delayed-arming";

    /// <inheritdoc />
    public override int Order => 4;

    /// <inheritdoc />
    public override string Name => "Nothing arms later on";

    /// <inheritdoc />
    public override string Title =>
        "Lowering the throttle, levelling the craft, time passing, a telemetry value or a signal that returns never arms.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [
            new(plan.Board.MotorBits, () => new Watcher())
            {
                LooksAt = Roles.Arms | Roles.Consents | Roles.ThrottleStick | Roles.Telemetry,
            },
        ];

    private sealed class Watcher : Watch
    {
        public override Roles Excuses => Roles.Arms | Roles.Consents;

        public override int Next(int monitor, in Change change)
        {
            if (!change.Arms)
                return 0;
            PremiseReached = true;
            if (change.By(Roles.Arms | Roles.Consents))
                return change.AtOnce ? 0 : Broken;
            return change.Kind != MoveKind.Input || change.By(Roles.ThrottleStick | Roles.Telemetry) ? Broken : 0;
        }
    }
}
