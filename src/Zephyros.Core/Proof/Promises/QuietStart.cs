using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Powering on in the start positions is quiet.</summary>
public sealed class QuietStart : Promise
{
    /// <inheritdoc />
    public override string Code => "quiet-start";

    /// <inheritdoc />
    public override int Order => 1;

    /// <inheritdoc />
    public override string Name => "Powering on in the start positions is quiet";

    /// <inheritdoc />
    public override string Title =>
        "Powering on with the controls where the power-on check wants them never arms, starts a motor or shows the board a raised throttle, wherever the controls stand that it does not check.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher()) { DeclaredStart = true }];

    private sealed class Watcher : Watch
    {
        public override bool HandsMove => false;

        public override int Next(int monitor, in Change change)
        {
            PremiseReached |= change.Frames;
            var raised = change.Frames && change.Radio == RadioState.Up && !change.View.Has(BoardView.LowBit);
            return change.Board.Armed || change.Board.Motors != MotorLevel.Off || raised ? Broken : 0;
        }
    }
}
