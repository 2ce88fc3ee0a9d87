using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>During the grace time the motors are taken back to idle, and it lasts longer than the fall: the craft is on the ground
/// before its procedure begins.</summary>
public sealed class GraceOutlastsFall : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var loss = plan.Setup.Board.Loss;
        if (
            plan.Setup.Craft.AtLoss is not { } flight
            || loss.GraceValues != GraceValues.Substituted
            || loss.Procedure == LossProcedure.Stop
        )
            yield break;
        var dives = (default(MetresPerSecond) - flight.Climb).AtLeast(default);
        var fall = new Fall(flight.Height, flight.Speed, flight.Wind, flight.FallsAt) { Sinking = dives }.Ground;
        if (loss.Grace.ToTimeSpan() < fall.Time)
            yield break;
        yield return new Finding
        {
            Key = "grace-outlasts-fall",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = "/board/loss/grace",
            Title = "The grace time is longer than the fall",
            What =
                $"For {loss.Grace.Words} the board flies on centred sticks and low throttle; from {flight.Height} the craft is on the ground after {Figures.Plain(fall.Time.TotalSeconds, 1)} s.",
            Why = "What the board would do then comes too late: the craft has come down by itself.",
            Provenance = Provenance.Computed("a fall with the motors at idle, as if they were off"),
            MayBeJustified = false,
            Fixes =
            [
                new Fix(
                    "last",
                    "Flies on the last values meanwhile.",
                    BoardEdits.OnLoss(
                        plan.Setup,
                        "The last values during the grace time",
                        l => l with { GraceValues = GraceValues.Last }
                    )
                ),
                new Fix(
                    "none",
                    "Begins at once.",
                    BoardEdits.OnLoss(plan.Setup, "No grace time", l => l with { Grace = default })
                ),
            ],
        };
    }
}
