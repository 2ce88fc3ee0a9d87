using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Arming and thrust are reachable.</summary>
public sealed class CanFly : Promise
{
    /// <inheritdoc />
    public override string Code => "can-fly";

    /// <inheritdoc />
    public override int Order => 12;

    /// <inheritdoc />
    public override string Name => "Arming and thrust are reachable";

    /// <inheritdoc />
    public override string Title =>
        "It can fly: arming and thrust are reachable by hand, and the throttle never falls while its stick rises.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("a promise about nothing is worth nothing");

    /// <inheritdoc />
    internal override bool LooksAtResponse => true;

    /// <inheritdoc />
    internal override PromiseVerdict? ByResponse(Prover prover)
    {
        if (prover.Response is { Fall: { } fall })
            return prover.Judge(
                fall,
                $"The board\u2019s throttle falls from {Figures.Plain(fall.Before)} to {Figures.Plain(fall.After)} µs while the stick rises from {Figures.Signed(fall.From)} to {Figures.Signed(fall.To)} %."
            );
        return prover.Unanswered.Length > 0 ? new PromiseVerdict(VerdictKind.NotProven, prover.Unanswered) : null;
    }

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [
            PromiseCheck.Reach(
                plan.Board.MotorBits,
                (board, _) => board is { Motors: MotorLevel.Thrust, Signal: BoardSignal.Good, ForSelfRight: false }
            ),
        ];
}
