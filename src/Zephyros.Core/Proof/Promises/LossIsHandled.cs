using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>The board learns of a loss and starts nothing afterwards.</summary>
public sealed class LossIsHandled : Promise
{
    /// <inheritdoc />
    public override string Code => "loss-is-handled";

    /// <inheritdoc />
    public override int Order => 8;

    /// <inheritdoc />
    public override string Name => "The board learns of a loss and starts nothing afterwards";

    /// <inheritdoc />
    public override string Title =>
        "An armed board learns of a lost signal and runs its procedure; once a loss has stopped the motors nothing spins until the arm control was seen off, then on.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "a restart must be deliberate");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher())];

    private sealed class Watcher : Watch
    {
        private const int Stopped = 1;

        public override int Next(int monitor, in Change change)
        {
            var lost = change.Kind is MoveKind.RadioLost or MoveKind.TransmitterOff;
            if (change.Before.Board.Armed && lost)
            {
                PremiseReached = true;
                // Frames that still arrive hide the loss from the board.
                if (change is { Frames: true, Board.Armed: true })
                    return Broken;
            }

            if (monitor == Stopped && change.Board.Armed)
                return Broken;
            if (change.Frames && !change.Board.ArmRequested)
                return 0;
            var stops =
                change.Before.Board.Armed && change is { Board.Armed: false, Frames: false, Board.Powered: true };
            return stops ? Stopped : monitor;
        }
    }
}
