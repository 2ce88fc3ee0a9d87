using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What is wrong with the announcements of a lost signal by the settings alone.</summary>
public sealed class ChangesAnnouncedTests
{
    private static readonly Setup Reported = ReportedChanges.Announce(Demo.Plain);

    [Theory]
    [InlineData(AnnouncementSubject.SignalLost, "Nothing announces that the signal is lost.")]
    [InlineData(AnnouncementSubject.SignalBack, "Nothing announces that the signal is back.")]
    public void Without_an_announcement_nothing_announces_it(AnnouncementSubject about, string reason)
    {
        var id = Reported.Model.Announcements.Single(a => a.Value.About == about).Key;
        foreach (
            var setup in new[]
            {
                Reported.InModel(m => m with { Announcements = m.Announcements.Remove(id) }),
                Reported.WithAnnouncement(id, a => a with { Enabled = false }),
            }
        )
            Assert.Equal(reason, BySettings(setup)?.Reason);
    }

    // A second one that a switch sets off takes nothing from the first.
    [Fact]
    public void One_that_follows_telemetry_is_enough()
    {
        var lost = Reported.Model.Announcements.Values.Single(a => a.About == AnnouncementSubject.SignalLost);
        var two = Reported
            .WithCondition("on", Build.At("left-back-switch", 2))
            .InModel(m => m with { Announcements = m.Announcements.Add("second", lost with { When = "on" }) });
        Assert.DoesNotContain("Nothing announces", BySettings(two)?.Reason ?? "", StringComparison.Ordinal);
    }

    // Each is a condition of its own; as many are looked at as there is room for, and one more is said to be too many.
    [Theory]
    [InlineData(ProofScope.MostCues, false)]
    [InlineData(ProofScope.MostCues + 1, true)]
    public void So_many_conditions_may_announce_one_thing(int count, bool tooMany)
    {
        var armed = Reported.Model.Announcements.Values.First(a => a.About == AnnouncementSubject.Armed);
        var setup = Reported.InModel(m =>
            m with
            {
                Announcements = m.Announcements.RemoveRange(
                    m.Announcements.Where(a => a.Value.About == AnnouncementSubject.Armed).Select(a => a.Key)
                ),
            }
        );
        for (var i = 0; i < count; i++)
        {
            var id = $"arm-{i}";
            setup = setup
                .WithCondition(id, Build.At("left-shoulder", 2))
                .InModel(m => m with { Announcements = m.Announcements.Add(id, armed with { When = id }) });
        }

        var verdict = new Prover(SignalPlan.Compile(setup), Build.Patient).Prove(
            PromiseList.All.Single(p => p.Code == "changes-announced"),
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(
            tooMany,
            verdict.Reason.Contains("More than 8 conditions announce one thing.", StringComparison.Ordinal)
        );
    }

    private static PromiseVerdict? BySettings(Setup setup) =>
        PromiseList.All.Single(p => p.Code == "changes-announced").BySettings(SignalPlan.Compile(setup));
}
