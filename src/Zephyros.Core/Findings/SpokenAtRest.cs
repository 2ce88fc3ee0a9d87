using System.Collections.Immutable;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>A value is spoken where the switch that asks for it rests.</summary>
public sealed class SpokenAtRest : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        foreach (var (id, made) in VoiceFaults.AskedValues(plan))
        {
            var resting = VoiceFaults
                .Switches(setup.Model, made.When!)
                .Order(StringComparer.Ordinal)
                .FirstOrDefault(control => HoldsAtRest(plan, control, made.When!));
            if (resting is null)
                continue;
            var control = setup.Transmitter.Controls[resting];
            yield return ReturnCaution.Of(
                $"spoken-at-rest:{id}",
                $"/model/conditions/{made.When}/test",
                $"“{made.Says}” is spoken where {control.Name} rests",
                $"“{setup.Model.Conditions[made.When!].Label}” holds where the switch is when nothing is wanted of it.",
                "A voice that always speaks is not listened to, and the pilot has nowhere to put the switch to have silence.",
                [.. Fixes(plan, made, control)]
            );
        }
    }

    private static bool HoldsAtRest(SignalPlan plan, string id, string condition)
    {
        var control = plan.Setup.Transmitter.Controls[id];
        var values = plan.With(id, control is SwitchControl { Safe: var safe } ? safe : control.StartSetting);
        return plan.Model.Holds(values.Memory, condition);
    }

    // The other positions of the switch.
    private static IEnumerable<Fix> Fixes(SignalPlan plan, Announcement made, Control control)
    {
        var condition = plan.Setup.Model.Conditions[made.When!];
        if (condition.Test is not PositionTest asks || control is not SwitchControl turned)
            yield break;
        var others = Enumerable.Range(1, turned.Positions).Except(asks.Positions).ToImmutableArray();
        if (others.Length == 0)
            others = [turned.Safe == 1 ? turned.Positions : 1];
        var names = string.Join(
            ", ",
            turned.NamedPositions.Where(p => others.Contains((int)p.Setting)).Select(p => p.Name)
        );
        yield return new Fix(
            "elsewhere",
            $"Speaks it at {names} instead.",
            ModelEdits.InModel(
                plan.Setup,
                $"“{made.Says}” at {names}",
                m =>
                    m with
                    {
                        Conditions = m.Conditions.SetItem(
                            made.When!,
                            condition with
                            {
                                Test = asks with { Positions = others },
                            }
                        ),
                    }
            )
        );
    }
}
