using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The first good frame breaks off a landing or a return, and brings the throttle at which the stick stands by then.</summary>
public sealed class RecoveryThrows : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var loss = plan.Setup.Board.Loss;
        if (loss.Procedure == LossProcedure.Stop || loss.Recovery != FlightRecovery.AtOnce)
            yield break;
        yield return new Finding
        {
            Key = "recovery-throws",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/loss/recovery",
            Title = "The first frame after a loss throws the throttle at the craft",
            What =
                $"While it {(loss.Procedure == LossProcedure.Land ? "comes down" : "flies home")} by itself, the first good frame gives the pilot the craft back, wherever the sticks stand.",
            Why = "A pilot who has put the throttle down drops it; one who has pushed it up throws it.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "stick",
                    "The pilot has it back when a stick is moved.",
                    BoardEdits.OnLoss(
                        plan.Setup,
                        "Back when a stick is moved",
                        l => l with { Recovery = FlightRecovery.StickMoved }
                    )
                ),
            ],
        };
    }
}
