using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>The switch that asks for a value also arms the craft, or decides how it flies.</summary>
public sealed class SpeakingSwitchFlies : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var flying = setup
            .Board.Functions.Values.Where(f => f.Kind == FunctionKind.Arm || FlightFunctions.Flies(f.Kind))
            .ToArray();
        foreach (var (id, made) in VoiceFaults.AskedValues(plan))
        foreach (var control in VoiceFaults.Switches(setup.Model, made.When!).Order(StringComparer.Ordinal))
        {
            var channels = plan
                .Model.Channels.Where(c => c.DependsOn(control))
                .Select(c => c.Channel.Number)
                .ToHashSet();
            string[] does =
            [
                .. flying.Where(f => channels.Contains(f.Channel)).Select(f => f.Label).Order(StringComparer.Ordinal),
            ];
            if (does.Length == 0)
                continue;
            var name = setup.Transmitter.Controls[control].Name;
            yield return ReturnCaution.Of(
                $"speaking-switch-flies:{id}-{control}",
                $"/model/conditions/{made.When}/test",
                $"{name} speaks “{made.Says}”, and flies the craft",
                $"The same switch works {string.Join(", ", does)}.",
                "To hear the value the pilot must fly otherwise, and whoever flies otherwise is spoken to.",
                [.. Fixes(plan, made, control)]
            );
        }
    }

    // Another switch that does nothing yet and has as many positions.
    private static IEnumerable<Fix> Fixes(SignalPlan plan, Announcement made, string control)
    {
        var (setup, model) = (plan.Setup, plan.Setup.Model);
        var condition = model.Conditions[made.When!];
        var tests = Positions(condition.Test).Where(t => t.Control == control).ToArray();
        var free = plan
            .Uses.Where(u => u.Free)
            .Select(u => (Id: u.Control, Control: setup.Transmitter.Controls[u.Control] as SwitchControl))
            .FirstOrDefault(c =>
                c.Control is { Alias: "" } found
                && tests.SelectMany(t => t.Positions).All(p => p <= found.Positions && p != found.Safe)
            );
        if (tests.Length == 0 || free.Control is null)
            yield break;
        yield return new Fix(
            "free-switch",
            $"Asks {free.Control.Name} instead, which does nothing yet.",
            ModelEdits.InModel(
                setup,
                $"{free.Control.Name} speaks “{made.Says}”",
                m =>
                    m with
                    {
                        Conditions = m.Conditions.SetItem(
                            made.When!,
                            condition with
                            {
                                Test = TestTrees.Rebuild(
                                    condition.Test,
                                    (was, now) =>
                                        was is PositionTest position && position.Control == control
                                            ? position with
                                            {
                                                Control = free.Id,
                                            }
                                            : now
                                ),
                            }
                        ),
                    }
            )
        );
    }

    private static IEnumerable<PositionTest> Positions(Test test) =>
        test is PositionTest position ? [position] : test.Parts.SelectMany(Positions);
}
