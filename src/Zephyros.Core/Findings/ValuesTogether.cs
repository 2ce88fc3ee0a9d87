using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Two values are asked for at once, and there is no time to speak both as often as they are to be said.</summary>
/// <remarks>Two alarms that hold at once are both wanted: they take turns.</remarks>
public sealed class ValuesTogether : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var asked = VoiceFaults.AskedValues(plan).Where(a => a.Value.Every is not null).ToArray();
        var reach = new ConditionReach(setup.Transmitter, setup.Model, plan.Model.Graph);
        for (var i = 0; i < asked.Length; i++)
        for (var j = i + 1; j < asked.Length; j++)
        {
            var ((id, one), (otherId, other)) = (asked[i], asked[j]);
            var both = VoiceFaults.Longest(setup, one) + VoiceFaults.Longest(setup, other);
            var every = one.Every!.Value.AtMost(other.Every!.Value);
            if (every.Value > both.Value || reach.Together(one.When!, other.When!) is not { CanHold: true })
                continue;
            var longer = VoiceFaults.RoomFor(both);
            yield return ReturnCaution.Of(
                $"values-together:{id}-{otherId}",
                $"/model/announcements/{id}/every",
                $"“{one.Says}” and “{other.Says}” speak at once",
                $"Both can be asked for together; to speak both takes up to {both.Words}, and the more frequent is to be said every {every.Words}.",
                "The voice never pauses, what is less urgent waits, and each value comes late.",
                [
                    VoiceFaults.Changing(
                        setup,
                        "longer",
                        $"Says each of them every {longer.Words}.",
                        $"“{one.Says}” and “{other.Says}” every {longer.Words}",
                        (id, one with { Every = longer.AtLeast(one.Every.Value) }),
                        (otherId, other with { Every = longer.AtLeast(other.Every.Value) })
                    ),
                ]
            );
        }
    }
}
