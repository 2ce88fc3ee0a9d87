using Zephyros.Core.Board;
using Zephyros.Core.Path;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Every planned function can be switched on, where it is planned and nowhere else.</summary>
public sealed class FunctionsReachable : Promise
{
    /// <inheritdoc />
    public override string Code => "functions-reachable";

    /// <inheritdoc />
    public override int Order => 13;

    /// <inheritdoc />
    public override string Name => "Every function is on where it is planned, and nowhere else";

    /// <inheritdoc />
    public override string Title =>
        "Every function can be switched on, in each position planned for it, and while frames arrive in no other; turning over while the craft lies on its back, the beeper while disarmed.";

    /// <inheritdoc />
    public override string Principle => "As planned: our own";

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan)
    {
        foreach (var (index, (_, function)) in plan.Board.Functions.Index())
        {
            var bit = BoardPlan.BitOf(index);
            if (function.Planned.IsEmpty)
            {
                yield return On(plan, function, bit, 0);
                continue;
            }

            var control = plan.Setup.Transmitter.Controls[function.Control];
            var planned = control.NamedPositions.ToLookup(p => function.Planned.Contains((int)p.Setting));
            foreach (var position in planned[true])
                yield return On(plan, function, bit, ProofScope.PositionBit(position.Setting)) with
                {
                    About = $"{function.Label}, {control.Name} at {position.Name}",
                    Standing = function.Control,
                };
            var elsewhere = planned[false].Aggregate(0UL, (bits, p) => bits | ProofScope.PositionBit(p.Setting));
            if (elsewhere != 0)
                yield return PromiseCheck.Never(bit, (_, view) => view.Has(bit) && view.Has(elsewhere)) with
                {
                    About =
                        $"{function.Label}, {control.Name} at {string.Join(" or ", planned[false].Select(p => p.Name))}",
                    Standing = function.Control,
                };
        }
    }

    // The function on, and its control where it is asked for; 0 for anywhere.
    private static PromiseCheck On(SignalPlan plan, BoardFunction function, ulong bit, ulong position) =>
        PromiseCheck.Reach(
            function.Kind == FunctionKind.SelfRight ? plan.Board.MotorBits : bit,
            (board, view) => view.Has(bit) && (position == 0 || view.Has(position)) && Fits(function.Kind, board)
        ) with
        {
            About = function.Label,
        };

    private static bool Fits(FunctionKind kind, BoardState board) =>
        kind switch
        {
            FunctionKind.SelfRight => board is { ForSelfRight: true, Motors: MotorLevel.Thrust },
            FunctionKind.Beeper => !board.Armed,
            _ => true,
        };
}
