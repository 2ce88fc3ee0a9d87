using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A reading is shown finer than it is measured.</summary>
public sealed class MoreDecimalsThanAccuracy : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, sensor) in plan.Setup.Model.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal))
        {
            if (sensor is not { Decimals: { } decimals, Accuracy: { Value: > 0 } accuracy })
                continue;
            // The finest decimals that still say something.
            var told = Math.Max(0, (int)Math.Floor(-Math.Log10(accuracy.Value) + 1e-9));
            if (decimals <= told)
                continue;
            yield return new Finding
            {
                Key = $"more-decimals-than-accuracy:{id}",
                Severity = Severity.Caution,
                Station = Station.Return,
                Place = $"/model/sensors/{id}/decimals",
                Title = $"{sensor.Label} is shown finer than it is measured",
                What =
                    $"It may be off by {sensor.Unit.Length switch { 0 => accuracy.ToString(), _ => $"{accuracy} {sensor.Unit}" }}, and is kept with {Words(decimals)}.",
                Why = "Figures that only flicker are read as if they meant something, and alarms chatter on them.",
                Provenance = Provenance.Practice(),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "decimals",
                        $"Keeps {Words(told)}.",
                        ModelEdits.InModel(
                            plan.Setup,
                            $"{sensor.Label} with {Words(told)}",
                            m => m with { Sensors = m.Sensors.SetItem(id, sensor with { Decimals = told }) }
                        )
                    ),
                ],
            };
        }
    }

    private static string Words(int decimals) => decimals == 1 ? "1 decimal" : $"{decimals} decimals";
}
