using Zephyros.Core.Model;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>The lowest or highest reading is spoken with words that tell the reading now.</summary>
public sealed class LowestTakenForNow : IFindingRule
{
    private static readonly string[] OfLowest = ["low", "least", "min", "worst"];
    private static readonly string[] OfHighest = ["high", "most", "max", "best", "top", "peak"];

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, made) in VoiceFaults.Enabled(plan.Setup))
        {
            if (made.Value is not { Reading: var reading and not SpokenReading.Now } value || Tells(made.Says, reading))
                continue;
            var (word, sensor) = (
                reading == SpokenReading.Lowest ? "Lowest" : "Highest",
                plan.Setup.Model.Sensors[value.Sensor].Label
            );
            // Sooner or later it no longer fits what says it.
            var says = $"{word} {made.Says}";
            Fix[] words =
                says.Length <= Announcement.LongestWords
                    ?
                    [
                        VoiceFaults.Changing(
                            plan.Setup,
                            "words",
                            $"Says “{says}”.",
                            $"“{made.Says}” says that it is the {word.ToLowerInvariant()}",
                            (id, made with { Says = says })
                        ),
                    ]
                    : [];
            yield return ReturnCaution.Of(
                $"lowest-taken-for-now:{id}",
                $"/model/announcements/{id}/value/reading",
                $"“{made.Says}” speaks the {word.ToLowerInvariant()} reading, and does not say so",
                $"It is the {word.ToLowerInvariant()} that {sensor} has had since the readings were reset.",
                "Heard in the air it is taken for the reading now: a battery that has recovered seems empty, a signal that is gone seems strong.",
                [
                    VoiceFaults.Changing(
                        plan.Setup,
                        "now",
                        "Speaks the reading now.",
                        $"“{made.Says}” with the reading now",
                        (id, made with { Value = value with { Reading = SpokenReading.Now } })
                    ),
                    .. words,
                ]
            );
        }
    }

    private static bool Tells(string says, SpokenReading reading) =>
        (reading == SpokenReading.Lowest ? OfLowest : OfHighest).Any(w =>
            says.Contains(w, StringComparison.OrdinalIgnoreCase)
        );
}
