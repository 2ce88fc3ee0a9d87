using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The landing after a loss ends while the craft is still in the air: its motors stop there, and it falls the rest.</summary>
public sealed class LandingTooShort : IFindingRule
{
    // What the document takes for a landing, in seconds.
    private const double LongestLanding = 600;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var loss = plan.Setup.Board.Loss;
        if (plan.Setup.Craft.AtLoss is not { } flight || loss.Procedure == LossProcedure.Stop)
            yield break;
        var lands = loss.LandingTime.Value / 1000;
        // A craft that climbs goes on up until it has lost its speed.
        var (rises, higher) = Fall.Rise(flight.Climb);
        var top = FlownOn.Highest(plan, flight) + higher;
        var takes = rises + (top.Value / flight.Descent.Value);
        var left = new Metres(flight.Descent.Value * (takes - lands));
        if (left <= default(Metres))
            yield break;
        var fall = new Fall(left, default, default, flight.FallsAt) { Sinking = flight.Descent };
        var enough = Math.Ceiling(takes);
        var words = $"Lands for {Figures.Plain(enough)} s.";
        yield return new Finding
        {
            Key = "landing-too-short",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = "/board/loss/landingTime",
            Title = $"The landing ends {Figures.Plain(left.Value, 0)} m above the ground",
            What =
                $"From {Figures.Plain(top.Value, 0)} m at {flight.Descent} it takes {Figures.Plain(takes, 1)} s to come down; after {loss.LandingTime.Words} the motors stop.",
            Why =
                $"The craft falls the rest, and comes to the ground at {Figures.Plain(fall.Ground.Speed.Value, 0)} m/s.",
            Provenance = Provenance.Computed("height / rate must fit the landing time"),
            MayBeJustified = false,
            Fixes =
                enough > LongestLanding
                    ? []
                    :
                    [
                        new Fix(
                            "longer",
                            words,
                            BoardEdits.OnLoss(
                                plan.Setup,
                                words.TrimEnd('.'),
                                l => l with { LandingTime = new(enough * 1000) }
                            )
                        ),
                    ],
        };
    }
}
