using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>The throttle never jumps under the thumb.</summary>
public sealed class NoJump : Promise
{
    /// <inheritdoc />
    public override string Code => "no-jump";

    /// <inheritdoc />
    public override int Order => 21;

    /// <inheritdoc />
    public override string Name => "The throttle never jumps under the thumb";

    /// <inheritdoc />
    public override string Title =>
        "Within the movement of the throttle stick that the pilot sets, the throttle that the board sees never grows by more than the share that the pilot sets.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("no surprise under the thumb");

    /// <inheritdoc />
    public override string NothingToCheck => "The throttle stick does not move what the board takes for the throttle.";

    /// <inheritdoc />
    internal override PromiseVerdict? ByResponse(Prover prover)
    {
        if (prover.Response is not { Growth: { } most } response)
            return prover.Unanswered.Length > 0 ? new PromiseVerdict(VerdictKind.NotProven, prover.Unanswered) : null;
        var board = prover.Plan.Setup.Board;
        var limits = prover.Plan.Setup.Limits;
        var travel =
            board.OnWire(StickAxis.Throttle, new Microseconds(2000)).Value
            - board.OnWire(StickAxis.Throttle, new Microseconds(1000)).Value;
        var share = most.Growth / travel * 100;
        var words =
            $"Within {Figures.Plain(limits.JumpWithin.Value)} % of its stick\u2019s travel the throttle grows by at most {Figures.Plain(share, 1)} % of its own";
        if (share > limits.JumpShare.Value)
            return prover.Judge(
                most,
                $"From {Figures.Signed(most.From)} to {Figures.Signed(most.To)} % of its stick the throttle grows by {Figures.Plain(share, 1)} % of its travel; {Figures.Plain(limits.JumpShare.Value)} % are allowed."
            );
        return new PromiseVerdict(
            VerdictKind.Proven,
            $"{words}; {Figures.Plain(limits.JumpShare.Value)} % are allowed."
        )
        {
            Assumptions = response.Assumptions,
        };
    }

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) => [];
}
