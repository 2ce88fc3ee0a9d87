using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The board is to fly home, and has nothing that tells it where it is.</summary>
public sealed class ReturnWithoutFix : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var board = plan.Setup.Board;
        if (board.Loss.Procedure != LossProcedure.ReturnHome || board.Equipment.PositionReceiver)
            yield break;
        yield return new Finding
        {
            Key = "return-without-fix",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = "/board/loss/procedure",
            Title = "It is to fly home, and never knows where it is",
            What =
                $"The board has no position receiver, so it never has a fix: on a loss it lands for {board.Loss.LandingTime.Words} where it is.",
            Why = "A pilot who counts on a return runs the wrong way.",
            Provenance = Provenance.Practice("no return without a position fix"),
            MayBeJustified = false,
            Fixes =
            [
                HomewardFaults.Lands(plan),
                new Fix(
                    "stops",
                    "Stops its motors.",
                    BoardEdits.OnLoss(plan.Setup, "Stops on a loss", l => l with { Procedure = LossProcedure.Stop })
                ),
            ],
        };
    }
}
