using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>One movement never takes the motors from standing to thrust.</summary>
public sealed class NoLeap : Promise
{
    /// <inheritdoc />
    public override string Code => "no-leap";

    /// <inheritdoc />
    public override int Order => 2;

    /// <inheritdoc />
    public override string Name => "One movement never takes the motors from standing to thrust";

    /// <inheritdoc />
    public override string Title =>
        "The motors never go from off to thrust by one movement, nor by what arrives at once when frames or the radio come back, and reach thrust only after the throttle stick itself was low since arming.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published("ISO 14118", "edition from memory", "prevention of unexpected start-up");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits | BoardView.WellUpBit | ProofScope.StickLowBit, () => new Watcher())];

    private sealed class Watcher : Watch
    {
        private const int Disarmed = 0;
        private const int NotYetLow = 1;
        private const int WasLow = 2;

        public override int Next(int monitor, in Change change)
        {
            var board = change.Board;
            if (!board.Armed)
                return Disarmed;
            // A craft that has flown by itself was at thrust already when the pilot got it back.
            var flew = board.Signal is BoardSignal.Landing or BoardSignal.Returning;
            var next = change.StickLow || flew ? WasLow : Math.Max(monitor, NotYetLow);
            // A craft that flies by itself after a loss, or turns over after a crash, has its own promise.
            if (board.Motors != MotorLevel.Thrust || board.ForSelfRight || board.Signal != BoardSignal.Good)
                return next;
            PremiseReached = true;
            var atOnce = change.AtOnce || change.Kind is MoveKind.RadioBack or MoveKind.TransmitterOn;
            var leaps = atOnce && change.Before.Board.Motors == MotorLevel.Off;
            // Right at the threshold a limiter may lift a throttle over it; a hand feels more than that.
            var felt = change.View.Has(BoardView.WellUpBit) || !change.View.Has(BoardView.ThrustBit);
            return leaps || (felt && next == NotYetLow) ? Broken : next;
        }
    }
}
