using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Bench;

/// <summary>Telemetry comes down in packets with times and losses of their own; the instants were worked out by hand.</summary>
public sealed class DownLinkTests
{
    // A packet each 100 ms where the link does not say how often; else after so many packets that go up.
    [Theory]
    [InlineData(null, 250, 100)]
    [InlineData(16, 250, 64)]
    [InlineData(2, 50, 40)]
    [InlineData(64, 50, 1280)]
    public void What_the_board_does_is_said_with_the_next_packet(int? every, double rate, int interval)
    {
        var bench = new BenchRun(Wren(every, rate));
        // The first packet tells how the craft stands, which is no news.
        At(bench, interval + 1);
        bench.Move("left-shoulder", 2);
        At(bench, (2 * interval) - 1);
        Assert.True(bench.Board.Armed);
        Assert.Null(bench.Said());
        At(bench, 2 * interval);
        Assert.Equal(("Armed", new Milliseconds(2 * interval)), (bench.Said()!.Text, bench.Said()!.At));
    }

    // One second, or three packets where those are further apart.
    [Theory]
    [InlineData(null, 250, 100, 1000)]
    [InlineData(16, 250, 64, 1000)]
    [InlineData(64, 50, 1280, 3840)]
    public void Telemetry_is_missed_some_time_after_the_last_packet(int? every, double rate, int interval, int after)
    {
        var bench = new BenchRun(Wren(every, rate).WithQuickVoice());
        At(bench, interval);
        bench.SetLink(false);
        At(bench, interval + after - 1);
        Assert.False(bench.Snapshot("throttle").TelemetryLost);
        At(bench, interval + after);
        Assert.True(bench.Snapshot("throttle").TelemetryLost);
        Assert.Equal("Signal lost", bench.Said()!.Text);
        Assert.Equal(
            ("Telemetry missed", new Milliseconds(interval + after)),
            bench.Log.After(0).Where(e => e.Kind == LogKind.Missed).Select(e => (e.Text, e.At)).Single()
        );
        // It comes with the next packet on its grid after the link is back.
        bench.SetLink(true);
        var next = (int)(Math.Floor((interval + after) / (double)interval) + 1) * interval;
        At(bench, next - 1);
        Assert.DoesNotContain(bench.Log.After(0), e => e.Kind == LogKind.Heard);
        At(bench, next);
        Assert.Equal(
            ("Telemetry comes", new Milliseconds(next)),
            bench.Log.After(0).Where(e => e.Kind == LogKind.Heard).Select(e => (e.Text, e.At)).Single()
        );
        Assert.Equal("Signal back", bench.Said()!.Text);
        Assert.False(bench.Snapshot("throttle").TelemetryLost);
    }

    // A sequence of a proof decides whether telemetry is missed: then packets bring nothing, or what they bring comes as ever.
    [Theory]
    [InlineData(true, 25.2)]
    [InlineData(false, 21.5)]
    public void While_a_sequence_decides_that_telemetry_is_missed_no_packet_brings_a_reading(bool missed, double heard)
    {
        var bench = new BenchRun(Demo.Sandpiper);
        At(bench, 1000);
        bench.DecideTelemetry(missed);
        bench.Report("voltage", new Reading(21.5));
        At(bench, 3000);
        Assert.Equal(missed, bench.Snapshot("throttle").TelemetryLost);
        Assert.Equal(heard, bench.Snapshot("throttle").Readings["voltage"].Value);
        bench.DecideTelemetry(null);
        At(bench, 5000);
        Assert.Equal(21.5, bench.Snapshot("throttle").Readings["voltage"].Value);
    }

    // Whatever takes telemetry away, the transmitter only learns of it by the packets that do not come.
    [Fact]
    public void A_craft_without_power_is_missed_like_one_out_of_reach()
    {
        var bench = new BenchRun(Wren(null, 250));
        At(bench, 350);
        bench.SetPower(false);
        At(bench, 1299);
        Assert.False(bench.TelemetryLost);
        At(bench, 1300);
        Assert.True(bench.TelemetryLost);
    }

    // Armed and disarmed between two packets of 1.28 s.
    [Fact]
    public void What_is_over_before_a_packet_comes_is_never_said()
    {
        var bench = new BenchRun(Wren(64, 50));
        At(bench, 1300);
        bench.Move("left-shoulder", 2);
        At(bench, 1900);
        Assert.True(bench.Board.Armed);
        bench.Move("left-shoulder", 1);
        At(bench, 4000);
        Assert.False(bench.Board.Armed);
        Assert.DoesNotContain(bench.Log.After(0), e => e is { Kind: LogKind.Said, Text: "Armed" or "Disarmed" });
    }

    [Fact]
    public void A_transmitter_that_was_off_has_heard_nothing_until_a_packet_comes()
    {
        var bench = new BenchRun(Wren(null, 250));
        bench.SetTransmitter(false);
        Assert.True(bench.TelemetryLost);
        At(bench, 20_050);
        bench.SetTransmitter(true);
        Assert.True(bench.TelemetryLost);
        At(bench, 20_100);
        Assert.False(bench.TelemetryLost);
        // What is off misses nothing that would be told.
        Assert.DoesNotContain(bench.Log.After(0), e => e.Kind == LogKind.Missed);
    }

    [Fact]
    public void A_link_without_telemetry_never_has_any_and_an_edit_gives_it_some()
    {
        var deaf = Wren(null, 250).WithAir(a => a with { Telemetry = false });
        var bench = new BenchRun(deaf);
        At(bench, 5000);
        Assert.True(bench.TelemetryLost);
        Assert.DoesNotContain(bench.Log.After(0), e => e.Kind is LogKind.Missed or LogKind.Heard);
        bench.Replace(Wren(null, 250));
        At(bench, 5100);
        Assert.False(bench.TelemetryLost);
        bench.Replace(deaf);
        Assert.True(bench.TelemetryLost);
    }

    // The edit comes between the arming and the packet that tells of it.
    [Fact]
    public void An_edit_forgets_nothing_that_was_heard()
    {
        var setup = Wren(null, 250);
        var bench = new BenchRun(setup);
        At(bench, 150);
        bench.Move("left-shoulder", 2);
        At(bench, 190);
        bench.Replace(setup.InModel(m => m with { Name = "OTHER" }));
        Assert.True(bench.Board.Armed);
        Assert.Null(bench.Said());
        At(bench, 200);
        Assert.Equal("Armed", bench.Said()!.Text);
    }

    // A condition hears of the loss when the transmitter misses telemetry, not when it goes.
    [Fact]
    public void The_model_knows_of_a_loss_when_telemetry_is_missed()
    {
        var bench = new BenchRun(Wren(null, 250).WithCondition("away", new TelemetryLostTest()));
        At(bench, 100);
        bench.SetTelemetry(false);
        At(bench, 1099);
        Assert.False(bench.Snapshot("throttle").Conditions["away"]);
        At(bench, 1100);
        Assert.True(bench.Snapshot("throttle").Conditions["away"]);
    }

    // At half of the packets 64 ms apart, one of 2^16 times none comes for a second.
    [Fact]
    public void At_a_distance_packets_are_lost_by_chance_and_what_comes_tells_the_link()
    {
        var bench = new BenchRun(Demo.Clean.WithAir(a => a with { TelemetryEvery = 16, PacketRate = new(250) }));
        At(bench, 64);
        var before = bench.ReadingOf("quality");
        bench.SetDistance(RadioWayTests.Where(bench.Setup.Air, 50));
        At(bench, 127);
        Assert.Equal(before, bench.ReadingOf("quality"));
        var readings = new HashSet<double>();
        for (var time = 128; time < 20_000; time += 64)
        {
            At(bench, time);
            readings.Add(bench.ReadingOf("quality"));
        }

        // Half of the 310 packets that may bring another reading do not come.
        Assert.InRange(readings.Count, 5, 100);
        Assert.InRange(bench.ReadingOf("quality"), 25, 75);
    }

    // Packets 80 ms apart, each with the link and one message of the board, whose position is the last of four: at 320 ms, 640 ms and so
    // on. What is measured while none comes is known with the first that does, and without telemetry never.
    [Fact]
    public void A_reading_comes_with_a_packet()
    {
        var bench = new BenchRun(Demo.Sandpiper);
        (double Measured, double Heard) Distance() =>
            bench.Snapshot("throttle") is var now
                ? (now.Measured["distance"].Value, now.Readings["distance"].Value)
                : default;
        At(bench, 80);
        Assert.True(bench.Report("distance", new Reading(900)));
        Assert.False(bench.Report("nobody", new Reading(1)));
        At(bench, 319);
        Assert.Equal((900, 0), Distance());
        At(bench, 320);
        Assert.Equal((900, 900), Distance());
        bench.SetPower(false);
        bench.Report("distance", new Reading(20));
        At(bench, 2000);
        Assert.Equal((20, 900), Distance());
        bench.SetPower(true);
        At(bench, 2239);
        Assert.Equal((20, 900), Distance());
        At(bench, 2240);
        Assert.Equal((20, 20), Distance());

        bench = new BenchRun(Demo.Sandpiper.WithAir(a => a with { Telemetry = false }));
        bench.Report("distance", new Reading(900));
        At(bench, 5000);
        Assert.Equal((900, 0), Distance());
    }

    // Where the format has packets for it the link is told in theirs: no share above 255 %, no level below -255 dBm.
    [Theory]
    [InlineData(WireFormat.Duplex, 71.4, -88.6, 71, -89)]
    [InlineData(WireFormat.Duplex, 300, -300, 255, -255)]
    [InlineData(WireFormat.Packed16, 71.6, -88.4, 72, -88)]
    [InlineData(WireFormat.Packed16, 300, -300, 300, -300)]
    public void The_link_is_told_in_whole_numbers(
        WireFormat format,
        double share,
        double level,
        int told,
        int levelTold
    ) =>
        Assert.Equal(
            (new Reading(told), new Reading(levelTold)),
            BenchSensors.Carried(format, new Percent(share), new DecibelMilliwatts(level))
        );

    private static Setup Wren(int? every, double rate) =>
        Demo
            .Wren.WithAir(a => a with { TelemetryEvery = every, PacketRate = new Hertz(rate) })
            // With nothing else to report, every packet tells what the board does.
            .WithBoard(b => b with { Equipment = new BoardEquipment() })
            // Nor does her alarm speak between.
            .InModel(m => m with { Announcements = m.Announcements.Remove("empty") });

    private static void At(BenchRun bench, int milliseconds) =>
        bench.AdvanceTo(TimeSpan.FromMilliseconds(milliseconds));
}
