using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>None of the transmitter's radio modules is on, or more than one.</summary>
public sealed class ModuleNotAlone : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var modules = plan.Setup.Air.Modules.OrderBy(m => m.Key, StringComparer.Ordinal).ToArray();
        var on = modules.Where(m => m.Value.On).Select(m => m.Value.Label).ToArray();
        if (modules.Length == 0 || on.Length == 1)
            yield break;
        yield return new Finding
        {
            Key = "module-not-alone",
            Severity = Severity.Danger,
            Station = Station.Air,
            Place = "/air/modules",
            Title = on.Length == 0 ? "No radio module is on" : "More than one radio module is on",
            What =
                on.Length == 0
                    ? $"{string.Join(" and ", modules.Select(m => m.Value.Label))} are all off."
                    : $"{string.Join(" and ", on)} are on together.",
            Why =
                on.Length == 0
                    ? "Nothing is sent."
                    : "They disturb each other, and the receiver may listen to the wrong one.",
            Provenance = Provenance.Practice(),
            MayBeJustified = false,
            Fixes =
            [
                .. modules.Select(m => new Fix(
                    $"only-{m.Key}",
                    $"{m.Value.Label} on, every other one off. Do the same on the transmitter.",
                    AirEdits.ModuleOn(plan.Setup, m.Key)
                )),
            ],
        };
    }
}
