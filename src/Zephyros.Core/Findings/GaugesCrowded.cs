using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A page of the transmitter's display is to show more gauges than it has room for.</summary>
public sealed class GaugesCrowded : IFindingRule
{
    [Figure(Station.Return, "A page of a transmitter's display shows, of gauges", ProvenanceKind.CommonPractice)]
    private const int Most = 4;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var pages = SensorFaults
            .Sensors(plan.Setup)
            .Where(s => s.Value.Gauge is not null)
            .ToLookup(s => s.Value.Gauge!.Page);
        foreach (var page in pages.Where(p => p.Count() > Most).OrderBy(p => p.Key))
        {
            // The battery stays where it is looked for.
            var (last, sensor) = page.OrderBy(s => s.Value.Measures != SensorSubject.Voltage).Last();
            var room = Enumerable.Range(1, SensorGauge.Pages).FirstOrDefault(p => pages[p].Count() < Most);
            yield return ReturnCaution.Of(
                $"gauges-crowded:page-{page.Key}",
                $"/model/sensors/{last}/gauge",
                $"{page.Count()} gauges on page {page.Key} of the display",
                $"A page shows about {Most}: {string.Join(", ", page.Select(s => s.Value.Label))}.",
                "Figures that are too small are not read in flight.",
                room == 0
                    ? []
                    :
                    [
                        SensorFaults.Changing(
                            plan.Setup,
                            "page",
                            $"Shows {sensor.Label} on page {room}.",
                            $"{sensor.Label} on page {room} of the display",
                            last,
                            sensor with
                            {
                                Gauge = sensor.Gauge! with { Page = room },
                            }
                        ),
                    ]
            );
        }
    }
}
