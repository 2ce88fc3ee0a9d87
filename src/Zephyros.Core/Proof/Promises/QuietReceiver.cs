using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>What a receiver sends without radio is disarmed and low.</summary>
public sealed class QuietReceiver : Promise
{
    /// <inheritdoc />
    public override string Code => "quiet-receiver";

    /// <inheritdoc />
    public override int Order => 9;

    /// <inheritdoc />
    public override string Name => "What a receiver sends without radio is disarmed and low";

    /// <inheritdoc />
    public override string Title =>
        "Whatever the receiver sends without radio, presets, held values or the frames before the link is up, is disarmed and low.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override PromiseVerdict? BySettings(SignalPlan plan) =>
        plan.Setup.Air.OnLoss == ReceiverLoss.Silent
            ? new PromiseVerdict(VerdictKind.Proven, "The receiver falls silent: it sends nothing without radio.")
            : null;

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher())];

    private sealed class Watcher : Watch
    {
        public override int Next(int monitor, in Change change)
        {
            if (!change.Frames || change.Radio == RadioState.Up)
                return 0;
            PremiseReached = true;
            return change.Board.ArmRequested || !change.View.Has(BoardView.LowBit) ? Broken : 0;
        }
    }
}
