using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>The board sees a low throttle when it arms.</summary>
public sealed class ThrottleLowAtArming : Promise
{
    /// <inheritdoc />
    public override string Code => "throttle-low-at-arming";

    /// <inheritdoc />
    public override int Order => 3;

    /// <inheritdoc />
    public override string Name => "The board sees a low throttle when it arms";

    /// <inheritdoc />
    public override string Title => "At the moment of arming the board sees the throttle low.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher())];

    private sealed class Watcher : Watch
    {
        public override int Next(int monitor, in Change change)
        {
            if (!change.Arms)
                return 0;
            PremiseReached = true;
            return change.View.Has(BoardView.LowBit) ? 0 : Broken;
        }
    }
}
