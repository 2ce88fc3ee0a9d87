using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>An announcement is defined but not enabled: nothing is said.</summary>
public sealed class AnnouncementNotEnabled : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("announcement-not-enabled", "{0} announcements are never said", "Enable all {0} announcements");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from announcement in plan.Setup.Model.Announcements
        where !announcement.Value.Enabled
        select new Finding
        {
            Key = $"announcement-not-enabled:{announcement.Key}",
            Severity = Severity.Caution,
            Station = Station.Model,
            Place = $"/model/announcements/{announcement.Key}/enabled",
            Title = $"“{announcement.Value.Says}” is never said",
            What = "The announcement is defined, but its tick is missing.",
            Why = "The pilot waits for a voice that stays silent, and takes silence for “nothing happened”.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "enable",
                    "Enables it.",
                    ModelEdits.InModel(
                        plan.Setup,
                        $"Announce “{announcement.Value.Says}”",
                        m =>
                            m with
                            {
                                Announcements = m.Announcements.SetItem(
                                    announcement.Key,
                                    announcement.Value with
                                    {
                                        Enabled = true,
                                    }
                                ),
                            }
                    )
                ),
            ],
        };
}
