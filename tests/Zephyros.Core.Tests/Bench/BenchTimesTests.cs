using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>The instants at which something happens on the bench, worked out by hand. The plain setup sends a frame every 7 ms on a grid
/// from 0 to a board that waits 150 ms; its transmitter takes 500 ms to start, and its receiver falls silent.</summary>
public sealed class BenchTimesTests
{
    private static readonly Kilometres OutOfReach = new(5000);

    [Fact]
    public void A_receiver_gives_up_300_ms_after_the_last_packet()
    {
        var way = new RadioWay(Demo.Plain.Air, OutOfReach, Ms(1000), seed: 1);
        Assert.False(way.Advance(Ms(1299.9)));
        Assert.True(way.Up);
        way.Advance(Ms(1300));
        Assert.False(way.Up);
    }

    [Fact]
    public void A_packet_that_is_due_now_is_sent_once()
    {
        var way = new RadioWay(Demo.Plain.Air, new Kilometres(0.01), Ms(1000), seed: 1);
        Assert.True(way.Advance(Ms(1000)));
        Assert.False(way.Advance(Ms(1000)));
    }

    [Fact]
    public void A_board_out_of_reach_waits_from_the_last_frame_of_a_receiver_that_gave_up()
    {
        // Frames at 1001, 1008, ... 1295; the one at 1302 is the first after 1300.
        var bench = At(1000);
        bench.SetDistance(OutOfReach);
        AssertLost(bench, 1295 + 150);
    }

    [Fact]
    public void A_frame_at_the_very_instant_of_the_timeout_is_in_time()
    {
        // The last frame before 1000 comes at 994; 994 + 154 = 1148 = 164 * 7, where a frame is due once the link is back.
        BenchRun Back(double timeout)
        {
            var bench = At(1000, Demo.Plain.WithBoard(b => b with { SignalTimeout = new Milliseconds(timeout) }));
            bench.SetLink(false);
            bench.AdvanceTo(Ms(1145));
            bench.SetLink(true);
            bench.AdvanceTo(Ms(1148));
            return bench;
        }

        // Noted so far: the first good signal; in the other case also its loss and its return.
        Assert.Equal(1, Back(154).Noted()!.Number);
        Assert.Equal(3, Back(153).Noted()!.Number);
    }

    [Fact]
    public void A_lost_packet_carries_no_new_values()
    {
        var bench = At(1000);
        var before = Throttle(bench);
        bench.SetDistance(OutOfReach);
        bench.Move("throttle", 0);
        bench.AdvanceTo(Ms(1295));
        Assert.True(bench.Board.HasSignal);
        Assert.Equal(before, Throttle(bench));
        bench.SetDistance(new Kilometres(0.01));
        bench.AdvanceTo(Ms(1302));
        Assert.Equal(1500, Throttle(bench), 0.7);
    }

    [Fact]
    public void A_transmitter_is_on_when_its_restart_time_is_over()
    {
        var bench = At(1000);
        bench.SetTransmitter(false);
        bench.AdvanceTo(Ms(1100));
        bench.SetTransmitter(true);
        bench.AdvanceTo(Ms(1499.9));
        Assert.False(bench.TransmitterOn);
        bench.AdvanceTo(Ms(1500));
        Assert.True(bench.TransmitterOn);
        // Off for longer than that, it is on at once.
        bench.SetTransmitter(false);
        bench.AdvanceTo(Ms(2000));
        bench.SetTransmitter(true);
        Assert.True(bench.TransmitterOn);
    }

    [Fact]
    public void A_transmitter_switched_off_while_it_starts_stays_off()
    {
        var bench = At(1000);
        bench.SetTransmitter(false);
        bench.SetTransmitter(true);
        bench.AdvanceTo(Ms(1200));
        bench.SetTransmitter(false);
        bench.AdvanceTo(Ms(5000));
        Assert.False(bench.TransmitterOn);
    }

    [Fact]
    public void An_edit_never_switches_a_transmitter_on_nor_starts_it_sooner()
    {
        var edited = Demo.Plain.WithControl("left-shoulder", c => c with { Alias = "Wing" });
        var bench = At(1000);
        bench.SetTransmitter(false);
        bench.Replace(edited);
        bench.AdvanceTo(Ms(1300));
        Assert.False(bench.TransmitterOn);
        bench.SetTransmitter(true);
        bench.Replace(Demo.Plain);
        bench.AdvanceTo(Ms(1499.9));
        Assert.False(bench.TransmitterOn);
        bench.AdvanceTo(Ms(1500));
        Assert.True(bench.TransmitterOn);
    }

    // On its way up for a second, the throttle goes on from where it is, as fast as it may now; a new part begins anew, as after switch-on.
    [Fact]
    public void A_slow_step_goes_on_after_an_edit_of_figures()
    {
        Setup Slow(double up) => Demo.Plain.WithStep("throttle", "slow", new SlowStep { Order = 9, Up = new(up) });
        double After(Setup edited)
        {
            var bench = new BenchRun(Slow(50));
            bench.Move("throttle", 100);
            bench.AdvanceTo(Ms(1005));
            bench.Replace(edited);
            bench.AdvanceTo(Ms(2005));
            return bench.Comparison()[2].Model!.Value.Value;
        }

        double At(double stick) => SignalPlan.Compile(Demo.Plain).With("throttle", stick).Sent[2].Value;
        Assert.Equal(
            At(-49.75 + 50),
            After(Slow(50).WithControl("left-shoulder", c => c with { Alias = "Wing" })),
            1e-6
        );
        Assert.Equal(At(-49.75 + 10), After(Slow(10)), 1e-6);
        Assert.Equal(At(100), After(Slow(50).WithStep("throttle", "more", new LimitStep { Order = 10 })), 1e-6);
    }

    // Two latches of one shape: what was set is known by its id, whatever stands in its place.
    [Fact]
    public void A_latch_that_takes_the_place_of_another_is_not_taken_for_it()
    {
        Setup Latched(string id) =>
            Demo
                .Plain.WithCondition(id, Build.Latch(Build.At("right-shoulder", 2), Build.At("left-back-switch", 2)))
                .WithOverride("arm", id, 100);
        var bench = At(1000, Latched("held"));
        bench.Move("right-shoulder", 2);
        bench.Move("right-shoulder", 1);
        bench.Replace(Latched("held").WithControl("left-shoulder", c => c with { Alias = "Wing" }));
        Assert.True(bench.Snapshot("throttle").Conditions["held"]);
        bench.Replace(Latched("other"));
        Assert.False(bench.Snapshot("throttle").Conditions["other"]);
    }

    [Fact]
    public void A_change_of_link_wire_or_board_restarts_the_board_and_no_other_does()
    {
        BenchRun After(Func<Setup, Setup> change)
        {
            var bench = At(1000);
            bench.Move("left-shoulder", 2);
            bench.AdvanceTo(Ms(1100));
            Assert.True(bench.Board.Armed);
            bench.Replace(change(Demo.Plain));
            return bench;
        }

        Assert.True(After(s => s.WithControl("left-shoulder", c => c with { Alias = "Wing" })).Board.Armed);
        Assert.False(After(s => s.WithAir(a => a with { OnLoss = ReceiverLoss.Hold })).Board.Armed);
        Assert.False(After(s => s.WithBoard(b => b with { SignalTimeout = new Milliseconds(160) })).Board.Armed);
        Assert.False(After(s => s with { Wire = s.Wire with { FramePeriod = new Milliseconds(9) } }).Board.Armed);
    }

    [Fact]
    public void What_trembles_is_at_rest_again_after_a_movement_or_with_a_new_setup()
    {
        var bench = At(1000);
        var beside = new Dictionary<ChannelNumber, Microseconds> { [new ChannelNumber(3)] = new(6) };
        var rest = Throttle(bench);
        foreach (Action ends in (Action[])[() => bench.Move("roll", 50), () => bench.Replace(Demo.Plain)])
        {
            bench.Tremble(beside);
            bench.AdvanceTo(bench.Now + Ms(7));
            Assert.Equal(rest + 6, Throttle(bench), 1e-9);
            ends();
            bench.AdvanceTo(bench.Now + Ms(7));
            Assert.Equal(rest, Throttle(bench), 1e-9);
        }
    }

    [Fact]
    public void Frames_stand_on_a_grid_whenever_power_comes_back()
    {
        var bench = At(1000);
        bench.SetPower(false);
        bench.AdvanceTo(Ms(1003));
        bench.SetPower(true);
        bench.AdvanceTo(Ms(1007.9));
        Assert.False(bench.Board.HasSignal);
        bench.AdvanceTo(Ms(1008));
        Assert.True(bench.Board.HasSignal);
    }

    [Fact]
    public void A_delay_is_over_when_its_time_is_and_the_next_frame_carries_it()
    {
        // Far out for 2000 ms: the locator's channel goes on. The model is worked out every 10 ms from the reading on.
        var bench = At(1005, Demo.Clean);
        bench.Hear("distance", new Reading(900));
        double Home() => bench.Snapshot("throttle").Received[8].Value;
        bool FarOut() => bench.Snapshot("throttle").Conditions["far-out"];
        bench.AdvanceTo(Ms(3004.9));
        Assert.False(FarOut());
        bench.AdvanceTo(Ms(3005));
        Assert.True(FarOut());
        // 430 * 7 = 3010.
        bench.AdvanceTo(Ms(3009.9));
        Assert.Equal(988, Home(), 0.7);
        bench.AdvanceTo(Ms(3010));
        Assert.Equal(2012, Home(), 0.7);
    }

    [Fact]
    public void What_is_said_again_is_said_at_the_instant_and_for_as_long_as_its_condition_holds()
    {
        var bench = At(
            1000,
            Demo.Clean.InModel(m =>
                m with
                {
                    Announcements = m
                        .Announcements.Clear()
                        .Add(
                            "cut",
                            new Announcement
                            {
                                Says = "Cut",
                                About = AnnouncementSubject.Other,
                                When = "cut-on",
                                Every = new Milliseconds(700),
                            }
                        ),
                }
            )
        );
        bench.Move("right-back-switch", 2);
        var first = Assert.IsType<LogEntry>(bench.Said()).Number;
        int Said(double at)
        {
            bench.AdvanceTo(Ms(at));
            return (int)(bench.Said()!.Number - first);
        }

        Assert.Equal([0, 1, 1, 2], new[] { 1699.9, 1700, 2399.9, 2400 }.Select(Said));
        bench.Move("right-back-switch", 1);
        Assert.Equal(2, Said(9000));
    }

    [Fact]
    public void Each_control_is_followed_and_an_unknown_one_is_the_first()
    {
        var bench = At(1000);
        Assert.All(Demo.Plain.Transmitter.Controls.Keys, id => Assert.Equal(id, bench.Snapshot(id).Trace.Control));
        Assert.Contains(bench.Snapshot("nobody").Trace.Control, Demo.Plain.Transmitter.Controls.Keys);
    }

    [Fact]
    public void At_rest_no_picture_is_another()
    {
        var bench = At(1000);
        var before = bench.Sequence;
        bench.AdvanceTo(Ms(4000));
        Assert.Equal(before, bench.Sequence);
        bench.Move("roll", 1);
        Assert.NotEqual(before, bench.Sequence);
    }

    [Fact]
    public void The_battery_is_noted_once_each_time()
    {
        var bench = At(1000);
        string Noted(bool on)
        {
            bench.SetPower(on);
            return bench.Noted()!.Text;
        }

        Assert.Equal("Battery off", Noted(false));
        var number = bench.Noted()!.Number;
        Noted(false);
        Assert.Equal(number, bench.Noted()!.Number);
        Assert.Equal("Battery connected", Noted(true));
    }

    [Fact]
    public void Time_never_goes_back()
    {
        var bench = At(1000);
        bench.AdvanceTo(Ms(500));
        Assert.Equal(Ms(1000), bench.Now);
    }

    private static void AssertLost(BenchRun bench, double milliseconds)
    {
        bench.AdvanceTo(Ms(milliseconds - 0.1));
        Assert.True(bench.Board.HasSignal);
        bench.AdvanceTo(Ms(milliseconds));
        Assert.False(bench.Board.HasSignal);
    }

    private static double Throttle(BenchRun bench) => bench.Snapshot("throttle").Received[2].Value;

    private static BenchRun At(double milliseconds, Setup? setup = null)
    {
        var bench = new BenchRun(setup ?? Demo.Plain);
        bench.AdvanceTo(Ms(milliseconds));
        return bench;
    }

    private static TimeSpan Ms(double milliseconds) => TimeSpan.FromMilliseconds(milliseconds);
}
