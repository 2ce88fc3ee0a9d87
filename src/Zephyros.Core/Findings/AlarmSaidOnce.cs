using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A battery alarm is spoken once: whoever misses it hears nothing more.</summary>
public sealed class AlarmSaidOnce : IFindingRule
{
    private static readonly Milliseconds Again = new(2000);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from low in LevelTest.OfBattery(plan.Setup, SensorOrigin.Board)
        from spoken in low.Spoken(plan.Setup)
        where spoken.Value.Every is null
        select new Finding
        {
            Key = $"alarm-said-once:{spoken.Key}",
            Severity = Severity.Caution,
            Station = Station.Return,
            Place = $"/model/announcements/{spoken.Key}/every",
            Title = $"“{spoken.Value.Says}” is said once",
            What = $"“{low.Condition.Label}” sets it off when it begins to hold, and never again while it does.",
            Why = "A pilot who was busy, or spoken to, has missed it; the battery goes on to fall.",
            Provenance = Provenance.Practice("every 2 s while it holds"),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "repeat",
                    $"Says it every {Again.Words} while it holds.",
                    ModelEdits.InModel(
                        plan.Setup,
                        $"“{spoken.Value.Says}” every {Again.Words}",
                        m =>
                            m with
                            {
                                Announcements = m.Announcements.SetItem(
                                    spoken.Key,
                                    spoken.Value with
                                    {
                                        Every = Again,
                                    }
                                ),
                            }
                    )
                ),
            ],
        };
}
