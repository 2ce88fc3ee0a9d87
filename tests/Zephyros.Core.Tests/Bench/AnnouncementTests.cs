using Zephyros.Core.Bench;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Proof;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

public sealed class AnnouncementTests
{
    [Fact]
    public void What_the_board_does_is_announced_when_it_reports_it()
    {
        // Without her alarm, which says again and again that the battery is empty.
        var bench = Settled(Demo.Wren.InModel(m => m with { Announcements = m.Announcements.Remove("empty") }));
        Assert.Equal("Armed", Said(bench, b => b.Move("left-shoulder", 2)));
        Assert.Equal("Half level", Said(bench, b => b.Move("right-front-inner", 2)));
        Assert.Equal("Rate flight", Said(bench, b => b.Move("right-front-inner", 3)));
        Assert.Equal("Disarmed", Said(bench, b => b.Move("left-shoulder", 1)));
        // Telemetry is missed a second after the last packet; what the board did meanwhile is said once one comes again.
        Assert.Null(Said(bench, b => b.SetTelemetry(false)));
        Assert.Equal("Signal lost", Said(bench, b => b.AdvanceTo(b.Now + TimeSpan.FromMilliseconds(100))));
        Assert.Null(Said(bench, b => b.Move("left-shoulder", 2)));
        Assert.Equal(["Signal back", "Armed"], AllSaid(bench, b => b.SetTelemetry(true)));
    }

    [Fact]
    public void A_refused_arming_is_not_announced_by_the_board_but_by_the_switch()
    {
        Assert.Null(Said(Settled(Demo.Sandpiper), b => b.Move("left-shoulder", 2)));
        Assert.Equal("Armed", Said(Settled(Demo.Gannet), b => b.Move("left-shoulder", 2)));
    }

    [Fact]
    public void A_condition_is_said_when_it_begins_to_hold_and_again_while_it_does()
    {
        var bench = Settled(Demo.Sandpiper);
        Assert.Equal("Limiter is on", Said(bench, b => b.Move("right-front-outer", 2)));
        Assert.Null(Said(bench, b => b.AdvanceTo(b.Now + TimeSpan.FromSeconds(28))));
        Assert.Equal("Limiter is on", Said(bench, b => b.AdvanceTo(b.Now + TimeSpan.FromSeconds(1))));
        Assert.Null(Said(bench, b => b.Move("right-front-outer", 1)));
        Assert.Null(Said(bench, b => b.AdvanceTo(b.Now + TimeSpan.FromSeconds(40))));
    }

    // The limiter is switched on at 100 ms and said again each 30 s; the edit comes half a second later.
    [Fact]
    public void An_edit_says_nothing_again_that_goes_on_to_hold()
    {
        var bench = Settled(Demo.Sandpiper);
        Assert.Equal("Limiter is on", Said(bench, b => b.Move("right-front-outer", 2)));
        Assert.Null(
            Said(bench, b => b.Replace(Demo.Sandpiper.WithQuickVoice().InModel(m => m with { Name = "OTHER" })))
        );
        Assert.Null(Said(bench, b => b.AdvanceTo(TimeSpan.FromMilliseconds(29_599))));
        Assert.Equal("Limiter is on", Said(bench, _ => { }));
        Assert.Equal("Limits", Said(bench, b => b.Replace(Saying("Limits").WithQuickVoice())));
    }

    private static Setup Saying(string text) =>
        Demo.Sandpiper.InModel(m =>
            m with
            {
                Announcements = m.Announcements.SetItems(
                    m.Announcements.Where(a => a.Value.Says == "Limiter is on")
                        .Select(a => KeyValuePair.Create(a.Key, a.Value with { Says = text }))
                ),
            }
        );

    [Fact]
    public void A_transmitter_that_is_off_says_nothing_and_one_without_telemetry_only_what_it_knows_itself()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.SetTransmitter(false);
        Assert.Null(Said(bench, b => b.Move("right-front-outer", 2)));
        // It has heard nothing of the craft before.
        Assert.Equal(["Limiter is on", "Signal back"], AllSaid(bench, b => b.SetTransmitter(true)));
        var deaf = Settled(Demo.Wren with { Air = Demo.Wren.Air with { Telemetry = false } });
        Assert.Null(Said(deaf, b => b.Move("left-shoulder", 2)));
        Assert.True(deaf.Board.Armed);
    }

    [Theory]
    [InlineData("the switch announces arming", "Armed")]
    [InlineData("disarming that nothing announces", null)]
    public void What_the_proof_finds_is_what_the_bench_says(string fault, string? said)
    {
        var setup = ProofFaults.All[fault].Setup.WithQuickVoice();
        var path = new Prover(SignalPlan.Compile(setup), Build.Patient)
            .Prove(
                PromiseList.All.Single(p => p.Code == "changes-announced"),
                null,
                TestContext.Current.CancellationToken
            )
            .Path;
        var replay = new BenchReplay(setup, path);
        for (var step = 1; step < path.Count - 1; step++)
            replay.Step();
        // The craft has just got its battery: its first packet comes before the hand is at the switch.
        replay.Bench.AdvanceTo(replay.Bench.Now + TimeSpan.FromMilliseconds(100));
        Assert.Equal(said, Said(replay.Bench, _ => Assert.True(replay.Step())));
        Assert.False(replay.Bench.Board.Armed);
    }

    [Fact]
    public void Every_change_is_reported_after_the_fix_and_words_are_kept()
    {
        var setup = ReportedChanges.Announce(Demo.Gannet.WithAnnouncement("armed", a => a with { Says = "Hot" }));
        Assert.Equal(("Hot", null), (setup.Model.Announcements["armed"].Says, setup.Model.Announcements["armed"].When));
        Assert.Equal(setup, ReportedChanges.Announce(setup));
        Assert.Equal(
            [
                AnnouncementSubject.Armed,
                AnnouncementSubject.Disarmed,
                AnnouncementSubject.SignalLost,
                AnnouncementSubject.SignalBack,
            ],
            NewSetup.For("New", Demo.Plain.Transmitter).Model.Announcements.Values.Select(a => a.About).Order()
        );
    }

    // One switch sets off three announcements: each is told, in the order of their ids, also when a picture comes long after.
    [Fact]
    public void Nothing_that_is_said_at_one_moment_is_lost()
    {
        string[] said = ["One", "Two", "Three"];
        var setup = Demo.Plain.WithCondition("on", Build.At("left-back-switch", 2));
        setup = said.Index()
            .Aggregate(
                setup,
                (s, one) =>
                    s.InModel(m =>
                        m with
                        {
                            Announcements = m.Announcements.Add(
                                $"a{one.Index}",
                                new Announcement
                                {
                                    Says = one.Item,
                                    About = AnnouncementSubject.Other,
                                    When = "on",
                                }
                            ),
                        }
                    )
            );
        var bench = Settled(setup);
        var known = bench.Snapshot("throttle").Log[^1].Number;
        Assert.True(bench.Move("left-back-switch", 2));
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        var log = bench.Snapshot("throttle", known).Log;
        Assert.Equal(said, log.Where(e => e.Kind == LogKind.Said).Select(e => e.Text));
        Assert.All(log, e => Assert.Equal(new Milliseconds(100), e.At));
        Assert.Empty(bench.Snapshot("throttle", log[^1].Number).Log);
    }

    // Of more than are kept the oldest go, and their numbers tell that some are missing.
    [Fact]
    public void The_log_is_bounded()
    {
        var bench = Settled(Demo.Plain);
        for (var i = 0; i < 2 * BenchLog.Most; i++)
            bench.SetPower(i % 2 != 0);
        var all = bench.Log.After(0);
        Assert.Equal(BenchLog.Most, all.Count);
        Assert.Equal(bench.Log.Count, all[^1].Number);
        Assert.Equal(bench.Log.Count - BenchLog.Most + 1, all[0].Number);
    }

    private static BenchRun Settled(Setup setup)
    {
        var bench = new BenchRun(setup.WithQuickVoice());
        bench.AdvanceTo(TimeSpan.FromMilliseconds(100));
        return bench;
    }

    // What the transmitter says last while something is done and half a second after.
    private static string? Said(BenchRun bench, Action<BenchRun> act) => AllSaid(bench, act).LastOrDefault();

    private static IEnumerable<string> AllSaid(BenchRun bench, Action<BenchRun> act)
    {
        var before = bench.Log.Count;
        act(bench);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(500));
        return bench.Log.After(before).Where(e => e.Kind == LogKind.Said).Select(e => e.Text);
    }
}
