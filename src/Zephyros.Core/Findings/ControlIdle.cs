using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A control has a name of the pilot's own, so it is meant for something, and does nothing.</summary>
public sealed class ControlIdle : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("control-idle", "{0} controls with a name do nothing", "Take all {0} names off");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var use in plan.Uses.Where(u => u.Free))
        {
            var control = plan.Setup.Transmitter.Controls[use.Control];
            if (control.Alias.Length == 0)
                continue;
            yield return new Finding
            {
                Key = $"control-idle:{use.Control}",
                Severity = Severity.Caution,
                Station = Station.Hands,
                Place = $"/transmitter/controls/{use.Control}",
                Title = $"{control.Alias} does nothing",
                What =
                    $"{control.Label} is named “{control.Alias}”, but no channel takes it and no condition asks for it.",
                Why = "In the air the pilot flicks it and nothing happens.",
                Provenance = Provenance.Practice(),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "unname",
                        "Takes the name away, so that the control counts as free.",
                        HandsEdits.InControl(
                            plan.Setup,
                            $"{control.Label} is free",
                            use.Control,
                            c => c with { Alias = "" }
                        )
                    ),
                ],
            };
        }
    }
}
