using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Only the declared controls arm.</summary>
public sealed class OneControlArms : Promise
{
    /// <inheritdoc />
    public override string Code => "one-control-arms";

    /// <inheritdoc />
    public override int Order => 11;

    /// <inheritdoc />
    public override string Name => "Only the declared controls arm";

    /// <inheritdoc />
    public override string Title => "Only the control that is declared to arm, or to give a consent, arms.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("single point of control, after common practice");

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
        public override int Next(int monitor, in Change change)
        {
            if (!change.Arms)
                return 0;
            PremiseReached = true;
            // A control that only claims to give a consent does not arm by giving it.
            var consents = change.By(Roles.Consents) && change.Before.Board.Standing == ArmRefusal.ConsentMissing;
            return change.ByHand && !consents && !change.By(Roles.Arms | Roles.ThrottleStick) ? Broken : 0;
        }
    }
}
