using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The safe ends of the switches in use do not all lie in the same direction.</summary>
public sealed class SafeEndsDiffer : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var used = plan.Uses.Where(u => !u.Free).Select(u => u.Control).ToHashSet(StringComparer.Ordinal);
        var switches = plan
            .Setup.Transmitter.Controls.Where(c => c.Value is SwitchControl && used.Contains(c.Key))
            .OrderBy(c => c.Key, StringComparer.Ordinal)
            .Select(c => (Id: c.Key, Switch: (SwitchControl)c.Value))
            .ToArray();
        var (away, towards) = (
            switches.Where(s => s.Switch.Safe == 1).ToArray(),
            switches.Where(s => s.Switch.Safe != 1).ToArray()
        );
        if (away.Length == 0 || towards.Length == 0)
            yield break;
        var odd = away.Length < towards.Length ? away : towards;
        yield return new Finding
        {
            Key = "safe-ends-differ",
            Severity = Severity.Caution,
            Station = Station.Hands,
            Place = "/transmitter/controls",
            Title = "The safe ends point different ways",
            What = $"Safe is away from the pilot on {Names(away)}; towards the pilot on {Names(towards)}.",
            Why =
                "In a panic every switch goes to its safe end. That works only when it is the same direction on all of them.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "align",
                    $"Turns {Names(odd)} round: the other end is called safe. What the positions do stays, so look whether it still fits.",
                    Aligned(plan.Setup, odd)
                ),
            ],
        };
    }

    private static SetupEdit Aligned(Setup setup, IEnumerable<(string Id, SwitchControl Switch)> odd)
    {
        var controls = setup.Transmitter.Controls;
        foreach (var (id, selector) in odd)
        {
            var safe = selector.Safe == 1 ? selector.Positions : 1;
            controls = controls.SetItem(id, selector with { Safe = safe, Start = safe });
        }

        return SetupEdit.Between(
            "Safe ends in one direction",
            setup,
            setup with
            {
                Transmitter = setup.Transmitter with { Controls = controls },
            }
        );
    }

    private static string Names(IEnumerable<(string Id, SwitchControl Switch)> switches) =>
        string.Join(", ", switches.Select(s => s.Switch.Name));
}
