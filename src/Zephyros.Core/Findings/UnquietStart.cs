using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A control's start position is one in which a motor could start at switch-on.</summary>
public sealed class UnquietStart : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("unquiet-start", "{0} controls do not start quietly", "Start all {0} quietly");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var item in PowerOnCheck.Of(plan).Where(i => !i.StartFits))
        {
            var control = plan.Setup.Transmitter.Controls[item.Control];
            yield return new Finding
            {
                Key = $"unquiet-start:{item.Control}",
                Severity = Severity.Danger,
                Station = Station.Hands,
                Place = $"/transmitter/controls/{item.Control}/start",
                Title = $"{item.Name} does not start quietly",
                What =
                    $"{item.Reason} At switch-on it stands where the board would see arming or a raised throttle; wanted is {item.Wanted}.",
                Why = "The radio would call a dangerous position the right one, and would not warn.",
                Provenance = Provenance.Practice("the radio refuses to start quietly with the arm switch on"),
                MayBeJustified = false,
                Fixes = [.. Fixes(plan.Setup, item.Control, control)],
            };
        }
    }

    private static IEnumerable<Fix> Fixes(Setup setup, string id, Control control)
    {
        var quiet = control switch
        {
            SwitchControl selector => selector with { Start = selector.Safe },
            StickControl stick => stick with { Start = Percent.Low },
            TravellingControl travelling => travelling with { Start = Percent.Low },
            _ => control,
        };
        if (quiet != control)
            yield return new Fix(
                "safe",
                "Its start position becomes the safe one.",
                HandsEdits.InControl(setup, $"{control.Name} starts safe", id, _ => quiet)
            );
    }
}
