using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The wind is as fast as the craft flies home: it does not come forward.</summary>
public sealed class ReturnAgainstWind : IFindingRule
{
    private const double Fastest = 100;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (HomewardFaults.Of(plan) is not var (flight, settings, _) || settings.Speed > flight.Wind)
            yield break;
        var faster = new MetresPerSecond(Math.Ceiling(flight.Wind.Value * 2));
        yield return new Finding
        {
            Key = "return-against-wind",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = "/board/loss/return/speed",
            Title = "The wind is faster than the return home",
            What =
                $"It flies home at {settings.Speed} through the air, and the flight reckons with {flight.Wind} of wind.",
            Why = "Against that it hangs where it is, or drifts off, until the battery is empty.",
            Provenance = Provenance.Computed("speed through the air less the wind"),
            MayBeJustified = false,
            Fixes =
            [
                .. faster.Value <= Fastest
                    ? new[]
                    {
                        HomewardFaults.Otherwise(
                            plan,
                            "faster",
                            $"Flies home at {faster}.",
                            r => r with { Speed = faster }
                        ),
                    }
                    : [],
                HomewardFaults.Lands(plan),
            ],
        };
    }
}
