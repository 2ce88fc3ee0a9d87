using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>Something is said again before it has been spoken.</summary>
public sealed class RepeatTooQuick : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, made) in VoiceFaults.Enabled(plan.Setup))
        {
            var takes = VoiceFaults.Longest(plan.Setup, made);
            if (made.Every is not { } every || every.Value > takes.Value)
                continue;
            var longer = VoiceFaults.RoomFor(takes);
            yield return ReturnCaution.Of(
                $"repeat-too-quick:{id}",
                $"/model/announcements/{id}/every",
                $"“{made.Says}” is said again before it has been spoken",
                $"It is to be said every {every.Words}, and takes up to {takes.Words}.",
                "The voice never pauses: nothing else is heard while it lasts, and of this only every other saying comes.",
                [
                    VoiceFaults.Changing(
                        plan.Setup,
                        "longer",
                        $"Says it every {longer.Words}.",
                        $"“{made.Says}” every {longer.Words}",
                        (id, made with { Every = longer })
                    ),
                ]
            );
        }
    }
}
