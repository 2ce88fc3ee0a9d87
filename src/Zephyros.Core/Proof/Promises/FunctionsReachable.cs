using Zephyros.Core.Board;
using Zephyros.Core.Path;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Every planned function can be switched on.</summary>
public sealed class FunctionsReachable : Promise
{
    /// <inheritdoc />
    public override string Code => "functions-reachable";

    /// <inheritdoc />
    public override int Order => 13;

    /// <inheritdoc />
    public override string Name => "Every planned function can be switched on";

    /// <inheritdoc />
    public override string Title =>
        "Every planned function can be switched on; turning over while the craft lies on its back, the beeper while disarmed.";

    /// <inheritdoc />
    public override string Principle => "As planned: our own";

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        plan
            .Board.Functions.Select((f, i) => (f.Value.Label, f.Value.Kind, Bit: BoardPlan.BitOf(i)))
            .Select(f =>
                PromiseCheck.Reach(
                    f.Kind == FunctionKind.SelfRight ? plan.Board.MotorBits : f.Bit,
                    (board, view) => view.Has(f.Bit) && Fits(f.Kind, board)
                ) with
                {
                    About = f.Label,
                }
            );

    private static bool Fits(FunctionKind kind, BoardState board) =>
        kind switch
        {
            FunctionKind.SelfRight => board is { ForSelfRight: true, Motors: MotorLevel.Thrust },
            FunctionKind.Beeper => !board.Armed,
            _ => true,
        };
}
