using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>A restart leaves the motors off.</summary>
public sealed class RestartStaysOff : Promise
{
    /// <inheritdoc />
    public override string Code => "restart-stays-off";

    /// <inheritdoc />
    public override int Order => 10;

    /// <inheritdoc />
    public override string Name => "A restart leaves the motors off";

    /// <inheritdoc />
    public override string Title =>
        "A restart of the transmitter or of the board leaves the motors off until the arm control was seen off, then on.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "a restart must be deliberate");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher())];

    private sealed class Watcher : Watch
    {
        private const int Restarted = 1;

        public override int Next(int monitor, in Change change)
        {
            PremiseReached |= change.Arms;
            var restarts =
                change.Kind == MoveKind.PowerOn
                || (
                    change.Kind == MoveKind.TransmitterOn && change is { Before.Board: { Armed: false, Powered: true } }
                );
            var state = restarts ? Restarted : monitor;
            if (state == Restarted && change.Board.Armed)
                return Broken;
            return change.Frames && !change.Board.ArmRequested ? 0 : state;
        }
    }
}
