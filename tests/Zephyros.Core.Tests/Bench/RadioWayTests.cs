using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>A craft at a distance: packets are lost as the link budget says, and the receiver does what it should about it.</summary>
public sealed class RadioWayTests
{
    [Theory]
    [InlineData(99)]
    [InlineData(75)]
    [InlineData(30)]
    public void As_many_packets_arrive_as_the_model_says(double percent)
    {
        var far = new RadioWay(Demo.Clean.Air, Where(Demo.Clean.Air, percent), TimeSpan.Zero, seed: 7);
        var sum = 0.0;
        for (var second = 1; second <= 400; second++)
        {
            far.Advance(TimeSpan.FromSeconds(second));
            sum += far.Quality.Value;
        }

        // 400 windows of a hundred: three standard deviations are at most 0.75 %.
        Assert.Equal(percent, sum / 400, 0.9);
    }

    [Fact]
    public void On_the_bench_nothing_is_lost_and_far_out_the_signal_is()
    {
        var bench = Armed(Demo.Clean);
        Assert.Null(bench.Snapshot("throttle").Air);
        bench.SetDistance(new Kilometres(5000));
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        Assert.False(bench.Board.HasSignal);
        Assert.Equal(MotorLevel.Off, bench.Board.Motors);
        Assert.True(bench.TelemetryLost);
        Assert.Equal(0, bench.Snapshot("throttle").Air!.Quality.Value);
        bench.SetDistance(null);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        Assert.True(bench.Board.HasSignal);
        Assert.False(bench.Board.Armed);
        Assert.Equal(bench.Setup.Model.Sensors["quality"].Bench.Value, bench.ReadingOf("quality"));
    }

    [Fact]
    public void Half_the_packets_keep_a_craft_flying_and_the_sensor_tells()
    {
        var bench = Armed(Demo.Clean);
        bench.SetDistance(Where(Demo.Clean.Air, 50));
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(5));
        Assert.True(bench.Board.Armed);
        Assert.InRange(bench.ReadingOf("quality"), 25, 75);
    }

    // A receiver that understands nothing below -30 dBm hears nothing there; another name changes nothing, not even which packets are lost.
    [Fact]
    public void An_edit_of_the_link_counts_at_the_distance_and_another_begins_nothing_anew()
    {
        double[] Qualities(Func<Setup, Setup> change)
        {
            var bench = Armed(Demo.Clean);
            bench.SetDistance(Where(Demo.Clean.Air, 50));
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
            bench.Replace(change(Demo.Clean));
            return
            [
                .. Enumerable
                    .Range(0, 20)
                    .Select(_ =>
                    {
                        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(100));
                        return bench.Snapshot("throttle").Air!.Quality.Value;
                    }),
            ];
        }

        var asItWas = Qualities(s => s);
        Assert.Equal(asItWas, Qualities(s => s.InModel(m => m with { Name = "OTHER" })));
        Assert.Equal(0, Qualities(s => s.WithAir(a => a with { Sensitivity = new(-30) }))[^1]);
    }

    [Fact]
    public void The_same_distance_gives_the_same_losses()
    {
        static string Run()
        {
            var bench = Armed(Demo.Clean);
            bench.SetDistance(Where(Demo.Clean.Air, 60));
            var said = new List<double>();
            for (var i = 0; i < 40; i++)
            {
                bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(100));
                said.Add(bench.ReadingOf("quality"));
            }

            return string.Join(' ', said);
        }

        Assert.Equal(Run(), Run());
    }

    // Common practice, no source: about 12 % are left when the transmitter is off.
    [Theory]
    [InlineData(ReceiverLoss.Hold)]
    [InlineData(ReceiverLoss.Preset)]
    public void A_quality_that_the_receiver_puts_in_falls_when_the_transmitter_goes_off(ReceiverLoss loss)
    {
        var setup = QualityEdits.ByReceiver(Demo.Plain, new ChannelNumber(8)).ApplyTo(Demo.Plain).Setup!;
        var bench = new BenchRun(setup.WithAir(a => a with { OnLoss = loss }));
        bench.AdvanceTo(TimeSpan.FromSeconds(1));
        Assert.Equal(2012, bench.Snapshot("throttle").Received[7].Value, 0.7);
        bench.SetTransmitter(false);
        bench.AdvanceTo(TimeSpan.FromSeconds(2));
        // -76 % of 512 µs below 1500.
        Assert.Equal(1110.9, bench.Snapshot("throttle").Received[7].Value, 0.7);
    }

    [Fact]
    public void A_quality_that_the_receiver_puts_in_stays_when_the_setup_is_edited()
    {
        var setup = QualityEdits.ByReceiver(Demo.Plain, new ChannelNumber(8)).ApplyTo(Demo.Plain).Setup!;
        var bench = new BenchRun(setup);
        bench.SetDistance(Where(setup.Air, 70));
        bench.AdvanceTo(TimeSpan.FromSeconds(3));
        bench.Replace(setup with { Craft = setup.Craft with { Summary = "Another" } });
        bench.AdvanceTo(bench.Now + setup.Wire.FramePeriod.ToTimeSpan());
        var picture = bench.Snapshot("throttle");
        Assert.InRange(picture.Air!.Quality.Value, 50, 90);
        Assert.Equal(1500 + (5.12 * ((2 * picture.Air.Quality.Value) - 100)), picture.Received[7].Value, 0.7);
    }

    internal static Kilometres Where(LinkSettings link, double percent)
    {
        var (near, far) = (0.001, 1e6);
        for (var i = 0; i < 200; i++)
        {
            var middle = Math.Sqrt(near * far);
            if (LinkBudget.Point(link, new(middle)).Quality.Value > percent)
                near = middle;
            else
                far = middle;
        }

        return new Kilometres(near);
    }

    private static BenchRun Armed(Setup setup)
    {
        var bench = new BenchRun(setup);
        bench.Move("throttle", -100);
        bench.AdvanceTo(TimeSpan.FromSeconds(4));
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(TimeSpan.FromSeconds(5));
        Assert.True(bench.Board.Armed);
        return bench;
    }
}
