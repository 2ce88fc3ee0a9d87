using Zephyros.Core.Craft;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The way home after a loss takes more than a full battery has, or more than the way home that the battery's alarm leaves time for.</summary>
public sealed class ReturnBeyondBattery : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (HomewardFaults.Of(plan) is not (var flight, var settings, { Needs: { } needs, Capacity: { } full } way))
            yield break;
        var leaves = NeededLead.Of(plan.Setup.Craft)?.Charge;
        var empty = needs > full;
        if (!empty && (leaves is null || needs <= leaves))
            yield break;
        var lower = WayBack.Of(
            plan.Setup.Craft,
            settings with
            {
                Height = flight.Height,
            },
            flight,
            FlownOn.Away(plan, flight)
        );
        yield return new Finding
        {
            Key = "return-beyond-battery",
            Severity = empty ? Severity.Danger : Severity.Caution,
            Station = Station.Board,
            Place = "/board/loss/return",
            Title = empty
                ? "No battery is enough for the return home"
                : "After the battery\u2019s alarm the return home is too long",
            What = empty
                ? $"{way.Charged} It climbs to {settings.Height.AtLeast(flight.Height)} and flies {Figures.Plain(Math.Ceiling(FlownOn.Away(plan, flight).Value), 0)} m against {flight.Wind} of wind, as it flies on until the board turns it round."
                : $"{way.Charged} The way home that the alarm leaves time for takes {Figures.Plain(leaves!.Value.Value, 0)} mAh.",
            Why = empty
                ? "Where that is, nobody has chosen."
                : "A loss just after the alarm ends on the way, wherever that is: one of the two ways home is not what is flown.",
            Provenance = Provenance.Computed(
                "climb, distance over speed less wind, and descent, at the current of the way home"
            ),
            MayBeJustified = !empty,
            Fixes =
            [
                .. lower.Needs <= (empty ? full : leaves)
                    ? new[]
                    {
                        HomewardFaults.Otherwise(
                            plan,
                            "lower",
                            $"Does not climb above {flight.Height}.",
                            r => r with { Height = flight.Height }
                        ),
                    }
                    : [],
                HomewardFaults.Lands(plan),
            ],
        };
    }
}
