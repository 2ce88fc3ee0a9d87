using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The link is set to a band that is usual in another region.</summary>
public sealed class BandElsewhere : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var air = plan.Setup.Air;
        var usual = air.Region switch
        {
            LinkRegion.One when air.Frequency.Value is >= 902 and <= 928 => 868,
            LinkRegion.Two when air.Frequency.Value is >= 863 and <= 870 => 915,
            LinkRegion.One or LinkRegion.Two or LinkRegion.Three or LinkRegion.Unknown => 0,
        };
        if (usual == 0)
            yield break;
        yield return new Finding
        {
            Key = "band-elsewhere",
            Severity = Severity.Caution,
            Station = Station.Air,
            Place = "/air/frequency",
            Title = $"{air.Frequency} is a band of another region",
            What =
                $"In region {(air.Region == LinkRegion.One ? 1 : 2)} of the radio regulations links below one gigahertz use about {usual} MHz.",
            Why = "Transmitting there may be against the law, and a receiver made for the other band never binds.",
            Provenance = Provenance.Published(
                "ITU Radio Regulations",
                "Article 5",
                "the regions. Bands: common practice, no source. National law decides"
            ),
            MayBeJustified = true,
            Fixes =
            [
                new(
                    "usual",
                    "Module, receiver and antennas must be made for that band.",
                    AirEdits.InAir(plan.Setup, $"{usual} MHz", a => a with { Frequency = new Megahertz(usual) })
                ),
            ],
        };
    }
}
