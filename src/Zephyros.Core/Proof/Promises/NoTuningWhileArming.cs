using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Automatic trim or tuning is never on while arming.</summary>
public sealed class NoTuningWhileArming : Promise
{
    /// <inheritdoc />
    public override string Code => "no-tuning-while-arming";

    /// <inheritdoc />
    public override int Order => 15;

    /// <inheritdoc />
    public override string Name => "Automatic trim or tuning is never on while arming";

    /// <inheritdoc />
    public override string Title => "Automatic trim or tuning is never on at the moment of arming.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Practice("exclusive functions");

    /// <inheritdoc />
    public override PromiseVerdict? BySettings(SignalPlan plan) =>
        plan.Board.ConflictBits == 0
            ? new PromiseVerdict(VerdictKind.Proven, "The board has neither automatic trim nor automatic tuning.")
            : null;

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher(plan.Board.ConflictBits))];

    private sealed class Watcher(ulong conflicts) : Watch
    {
        public override int Next(int monitor, in Change change)
        {
            if (!change.Arms)
                return 0;
            PremiseReached = true;
            return change.View.Has(conflicts) ? Broken : 0;
        }
    }
}
