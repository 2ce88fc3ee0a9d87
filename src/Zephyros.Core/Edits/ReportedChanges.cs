using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Edits;

/// <summary>Lets the board's own report set off every announcement that the pilot needs: the best that telemetry makes available.</summary>
public static class ReportedChanges
{
    /// <summary>The setup with an announcement, set off by report, for every change that the pilot must know of. Announcements that are there keep their words.</summary>
    public static Setup Announce(Setup setup)
    {
        var announcements = setup.Model.Announcements;
        foreach (var (about, function, says) in Needed(setup))
        {
            var present = announcements.Where(a => a.Value.About == about && a.Value.Function == function).ToArray();
            announcements = announcements.SetItems(
                present.Select(a =>
                    KeyValuePair.Create(a.Key, a.Value with { When = null, Every = null, Enabled = true })
                )
            );
            if (present.Length == 0)
                announcements = announcements.Add(
                    FreeId.Of(IdFor(about, function), announcements.ContainsKey),
                    new Announcement
                    {
                        Says = says,
                        About = about,
                        Function = function,
                    }
                );
        }

        return setup with
        {
            Model = setup.Model with { Announcements = announcements },
        };
    }

    private static IEnumerable<(AnnouncementSubject About, string? Function, string Says)> Needed(Setup setup)
    {
        yield return (AnnouncementSubject.Armed, null, "Armed");
        yield return (AnnouncementSubject.Disarmed, null, "Disarmed");
        yield return (AnnouncementSubject.SignalLost, null, "Signal lost");
        yield return (AnnouncementSubject.SignalBack, null, "Signal back");
        var modes = setup
            .Board.Functions.Where(f => FlightFunctions.Flies(f.Value.Kind))
            .OrderBy(f => f.Key, StringComparer.Ordinal)
            .ToArray();
        if (modes.Length > 0)
            yield return (AnnouncementSubject.Mode, null, "Rate flight");
        foreach (var (id, mode) in modes)
            yield return (AnnouncementSubject.Mode, id, mode.Label);
    }

    private static string IdFor(AnnouncementSubject about, string? function) =>
        about switch
        {
            AnnouncementSubject.SignalLost => "signal-lost",
            AnnouncementSubject.SignalBack => "signal-back",
            AnnouncementSubject.Mode => function ?? "rate-flight",
            AnnouncementSubject.Armed => "armed",
            AnnouncementSubject.Disarmed => "disarmed",
            AnnouncementSubject.Other => "other",
        };
}
