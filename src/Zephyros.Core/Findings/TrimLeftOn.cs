using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A trim is not at zero.</summary>
public sealed class TrimLeftOn : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("trim-left-on", "{0} trims are left on", "Set all {0} trims to zero");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        foreach (var (id, trim) in setup.Model.Trims.Where(t => t.Value.Value != 0))
        {
            var name = setup.Transmitter.Controls[id].Name;
            var shift = setup.Transmitter.Scale.MicrosecondsPerPercent() * trim.Value;
            yield return new Finding
            {
                Key = $"trim-left-on:{id}",
                Severity = Severity.Caution,
                Station = Station.Model,
                Place = $"/model/trims/{id}",
                Title = $"The trim of {name} is at {trim}",
                What = $"It shifts {name} by {Figures.Signed(shift)} µs wherever it is taken.",
                Why =
                    "A flight controller wants centred sticks: with a trim on, the craft turns slowly with no input, or the throttle never reads low.",
                Provenance = Provenance.Practice("slow turning of the board's picture may be a trim left on"),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "zero",
                        "Puts the trim back to zero.",
                        ModelEdits.InModel(setup, $"Trim of {name} to zero", m => m with { Trims = m.Trims.Remove(id) })
                    ),
                ],
            };
        }
    }
}
