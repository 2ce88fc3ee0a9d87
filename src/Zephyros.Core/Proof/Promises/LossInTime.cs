using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>The board begins its procedure in time.</summary>
public sealed class LossInTime : Promise
{
    /// <inheritdoc />
    public override string Code => "loss-in-time";

    /// <inheritdoc />
    public override int Order => 20;

    /// <inheritdoc />
    public override string Name => "The board begins its procedure in time";

    /// <inheritdoc />
    public override string Title =>
        "Armed, the board has begun its loss procedure within the pilot\u2019s limit after the last frame.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("a loss is noticed, after common practice");

    /// <inheritdoc />
    public override PromiseVerdict? BySettings(SignalPlan plan)
    {
        if (plan.Setup.Air.OnLoss != ReceiverLoss.Silent)
            return null;
        var (timeout, grace) = (plan.Setup.Board.SignalTimeout, plan.Setup.Board.Loss.Grace);
        var limit = plan.Setup.Limits.LossNoticedWithin;
        var takes = timeout + grace;
        var sum =
            grace.Value > 0 ? $"{timeout} without frames and {grace} of grace are {takes}" : $"{takes} without frames";
        return takes <= limit
            ? new PromiseVerdict(
                VerdictKind.Proven,
                $"The receiver falls silent, and the board begins after {sum}; the limit is {limit}."
            )
            : new PromiseVerdict(VerdictKind.Broken, $"The board begins only after {sum}; the limit is {limit}.");
    }

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher())];

    // A receiver that goes on sending: only what it sends itself can tell the board.
    private sealed class Watcher : Watch
    {
        public override int Next(int monitor, in Change change)
        {
            var lost = change.Kind is MoveKind.RadioLost or MoveKind.TransmitterOff;
            if (!lost || !change.Before.Board.Armed)
                return 0;
            PremiseReached = true;
            return change.Frames && change.Board is { Armed: true, Signal: BoardSignal.Good } ? Broken : 0;
        }
    }
}
