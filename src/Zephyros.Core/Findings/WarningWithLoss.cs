using Zephyros.Core.Air;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The first warning of a weak signal comes so late that the loss is there before the craft has turned round.</summary>
public sealed class WarningWithLoss : IFindingRule
{
    [Figure(Station.Return, "A warning of the signal must come before its loss by", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds Enough = new(10_000);

    [Figure(Station.Return, "A craft whose way home is not written down flies away at", ProvenanceKind.OwnAssumption)]
    private static readonly MetresPerSecond UsualSpeed = new(15);

    [Figure(Station.Return, "A link is taken for lost when of its packets there come", ProvenanceKind.OwnAssumption)]
    private static readonly Percent Lost = new(10);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var warnings = LevelTest.OfSignal(setup).Where(IsUpLink).ToArray();
        if (warnings.Length == 0)
            yield break;
        var link = setup.Air;
        // The first that speaks is the one that speaks farthest from the loss.
        var warning = warnings.MaxBy(w => Margin(link, w.Sensor, w.Test.Limit).Value)!;
        var (id, condition, test, sensor) = warning;
        var speed = setup.Craft.WayHome?.Speed ?? UsualSpeed;
        var (first, loss) = (
            LinkBudget.PracticalReach(link, Margin(link, sensor, test.Limit)),
            LinkBudget.PracticalReach(link, LinkBudget.MarginAt(Lost))
        );
        var time = new Milliseconds(Math.Max(0, (loss - first).Value) * 1e6 / speed.Value);
        if (time >= Enough)
            yield break;
        yield return new Finding
        {
            Key = $"warning-with-loss:{id}",
            Severity = Severity.Danger,
            Station = Station.Return,
            Place = $"/model/conditions/{id}/test",
            Title = $"“{condition.Label}” comes with the loss",
            What =
                $"At {sensor.LimitWords(test.Limit)} the craft is some {Far(first)} away, and the link is lost at {Far(loss)}: {Figures.Plain(time.Value / 1000, 1)} s at {speed}.",
            Why =
                "Nobody turns round in that time. How far a link reaches is our own model of it"
                + (link.Allowance is null ? ", with what surroundings usually take: a range check measures it." : "."),
            Provenance = Provenance.Own($"at least {Enough.Words} between the first warning and the loss"),
            MayBeJustified = true,
            Fixes = [.. Fixes(setup, warning, speed)],
        };
    }

    // A strength in percent is no power: nothing follows from it.
    private static bool IsUpLink(LevelTest warning) =>
        warning.Sensor
            is { Measures: SensorSubject.LinkQuality }
                or { Measures: SensorSubject.Strength, Unit: not "%" };

    private static Decibels Margin(LinkSettings link, Sensor sensor, Reading limit) =>
        sensor.Measures == SensorSubject.Strength
            ? new(limit.Value - LinkBudget.SensitivityOf(link).Value)
            : LinkBudget.MarginAt(new Percent(Math.Clamp(limit.Value, 0.1, 99.9)));

    private static IEnumerable<Fix> Fixes(Setup setup, LevelTest warning, MetresPerSecond speed)
    {
        var (link, sensor) = (setup.Air, warning.Sensor);
        var way = speed.Value * Enough.Value / 1e6;
        var wanted = LinkBudget.PracticalReach(link, LinkBudget.MarginAt(Lost)).Value - way;
        if (wanted <= 0)
            yield break;
        // Doubling the distance costs 6.02 dB: the margin there follows from that at no margin.
        var margin = new Decibels(20 * Math.Log10(LinkBudget.PracticalReach(link, default).Value / wanted));
        var limit = new Reading(
            Math.Ceiling(
                sensor.Measures == SensorSubject.Strength
                    ? margin.Value + LinkBudget.SensitivityOf(link).Value
                    : LinkBudget.QualityAt(margin).Value
            )
        );
        // A quality of all packets is no warning.
        if (sensor.Measures == SensorSubject.LinkQuality && limit.Value >= 99)
            yield break;
        yield return new Fix("earlier", $"Speaks below {sensor.LimitWords(limit)}.", warning.At(setup, limit));
    }

    private static string Far(Kilometres distance) =>
        distance.Value < 1 ? $"{Figures.Plain(distance.Value * 1000, 0)} m" : $"{Figures.Plain(distance.Value, 1)} km";
}
