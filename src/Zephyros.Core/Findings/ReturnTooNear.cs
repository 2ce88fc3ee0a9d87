using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The flight is nearer to home than the smallest distance from which the board flies there.</summary>
public sealed class ReturnTooNear : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (HomewardFaults.Of(plan) is not ({ Pilot: { } away }, var settings, _) || away >= settings.NotWithin)
            yield break;
        var nearer = new Metres(Math.Floor(away.Value));
        yield return new Finding
        {
            Key = "return-too-near",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/loss/return/notWithin",
            Title = $"{away} from home is too near for a return",
            What = $"The board flies home from {settings.NotWithin} on; nearer it comes down where it is.",
            Why = "A pilot who waits for the return sees it come down, perhaps on somebody.",
            Provenance = Provenance.Computed("the flight at a loss beside the smallest distance of a return"),
            MayBeJustified = true,
            Fixes =
            [
                HomewardFaults.Lands(plan),
                HomewardFaults.Otherwise(
                    plan,
                    "nearer",
                    $"Flies home from {nearer} on.",
                    r => r with { NotWithin = nearer }
                ),
            ],
        };
    }
}
