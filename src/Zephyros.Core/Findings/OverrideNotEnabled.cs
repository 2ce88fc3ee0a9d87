using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>An override is defined but not enabled: it does nothing.</summary>
public sealed class OverrideNotEnabled : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("override-not-enabled", "{0} overrides are not enabled", "Enable all {0} overrides");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        plan.Setup.Model.Overrides.Where(o => !o.Value.Enabled).Select(o => Of(plan.Setup, o.Key, o.Value));

    private static Finding Of(Setup setup, string id, Override forced)
    {
        var channel = setup.Model.Channels[forced.Channel];
        var condition = setup.Model.Conditions[forced.When].Label;
        return new Finding
        {
            Key = $"override-not-enabled:{id}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/overrides/{id}/enabled",
            Title = $"{forced.Label} is not enabled",
            What =
                $"It would force channel {channel.Number.Value} ({channel.Label}) to {forced.Value} while “{condition}” holds, but its tick is missing.",
            Why = "An override that is not enabled does nothing: an unticked lock does not lock.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "enable",
                    "Enables it. Look at the channel in the dock afterwards.",
                    ModelEdits.InModel(
                        setup,
                        $"Enable {forced.Label}",
                        m => m with { Overrides = m.Overrides.SetItem(id, forced with { Enabled = true }) }
                    )
                ),
                new Fix(
                    "remove",
                    "Removes it for good.",
                    ModelEdits.InModel(
                        setup,
                        $"Remove {forced.Label}",
                        m => m with { Overrides = m.Overrides.Remove(id) }
                    )
                ),
            ],
        };
    }
}
