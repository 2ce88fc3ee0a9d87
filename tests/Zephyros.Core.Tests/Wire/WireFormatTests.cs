using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Path;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Duplex;
using Zephyros.Core.Wire.Pulses;

namespace Zephyros.Core.Tests.Wire;

public sealed class WireFormatTests
{
    public static TheoryData<WireFormat> All => [.. WireFormats.All];

    public static TheoryData<WireFormat> Serial => [.. WireFormats.All.Where(f => f.Codec() is SerialCodec)];

    [Theory]
    [MemberData(nameof(All))]
    public void Every_value_comes_through_within_half_a_step_or_saturates(WireFormat format)
    {
        var wire = format.Describe();
        var (low, high) = (wire.ToMicroseconds(wire.SmallestCount), wire.ToMicroseconds(wire.LargestCount));
        var line = format.Codec().CreateLine(Math.Min(8, wire.Channels));
        var sent = new int[wire.Channels];
        var received = new int[wire.Channels];
        Gen.Double[400, 2600]
            .Array[8]
            .Sample(
                pulses =>
                {
                    for (var i = 0; i < Math.Min(8, wire.Channels); i++)
                        sent[i] = wire.ToCount(new Microseconds(pulses[i]), CountRounding.Nearest);
                    for (var frame = 0; frame < wire.FramesForAll; frame++)
                        line.Carry(sent, received);
                    return Enumerable
                        .Range(0, Math.Min(8, wire.Channels))
                        .All(i =>
                            Math.Abs(
                                wire.ToMicroseconds(received[i]).Value - Math.Clamp(pulses[i], low.Value, high.Value)
                            )
                            <= (wire.Step.Value / 2) + 1e-9
                        );
                },
                iter: Iterations.Of(500),
                threads: 1
            );
    }

    [Theory]
    [MemberData(nameof(Serial))]
    public void Frames_are_found_from_any_start_in_any_pieces(WireFormat format)
    {
        var codec = (SerialCodec)format.Codec();
        Gen.Select(Gen.Int[0, 40], Gen.Int[1, 40], Gen.Int[3, 12], Gen.Int)
            .Sample(
                (start, size, frames, seed) =>
                {
                    var stream = Stream(codec, frames, seed).Skip(start).ToArray();
                    var whole = stream.Length / codec.Descriptor.FrameBytes;
                    var search = codec.CreateSearch();
                    var found = 0;
                    foreach (var piece in stream.Chunk(size))
                    {
                        ReadOnlySpan<byte> rest = piece;
                        while (search.TryFind(ref rest, out _))
                            found++;
                    }

                    // Bytes that look like a frame may lie across two; without a checksum that costs a frame or two.
                    return found >= Math.Max(0, whole - 2) && found <= frames;
                },
                iter: Iterations.Of(300)
            );
    }

    [Theory]
    [InlineData(WireFormat.Word14)]
    [InlineData(WireFormat.Duplex)]
    public void A_frame_with_a_wrong_byte_is_never_good_where_there_is_a_checksum(WireFormat format)
    {
        var codec = (SerialCodec)format.Codec();
        Gen.Select(Gen.Int, Gen.Int[0, codec.Descriptor.FrameBytes - 1], Gen.Int[1, 255])
            .Sample(
                (seed, at, change) =>
                {
                    var frame = Stream(codec, 1, seed);
                    // Another length makes it another packet, whose checksum is right once in 256 times.
                    if (format == WireFormat.Duplex && at == 1)
                        return true;
                    frame[at] ^= (byte)change;
                    var search = codec.CreateSearch();
                    search.Gap();
                    ReadOnlySpan<byte> rest = frame;
                    return !search.TryFind(ref rest, out _);
                },
                iter: Iterations.Of(2_000)
            );
    }

    [Fact]
    public void A_damaged_frame_is_counted_and_the_next_ones_are_found()
    {
        var codec = (SerialCodec)WireFormat.Word14.Codec();
        var stream = Stream(codec, 6, 1);
        stream[40] ^= 1;
        var search = codec.CreateSearch();
        search.Gap();
        ReadOnlySpan<byte> rest = stream;
        while (search.TryFind(ref rest, out _)) { }

        Assert.Equal((5, 1), (search.GoodFrames, search.DamagedFrames));
    }

    [Fact]
    public void Link_statistics_and_battery_come_through_and_saturate()
    {
        var bytes = new byte[DuplexFormat.LongestPacket];
        var link = new LinkStatistics((-61, -118), 87, -9, 1, 3, 2, -70, 99, 11);
        Assert.Equal(link, LinkStatistics.Read(bytes.AsSpan(0, link.Write(bytes))));
        var battery = new BatteryReport(164, 257, 1_234_567, 61);
        var length = battery.Write(bytes);
        Assert.Equal(battery, BatteryReport.Read(bytes.AsSpan(0, length)));
        Assert.Null(LinkStatistics.Read(bytes.AsSpan(0, length)));
        Assert.Equal(FrameKind.Other, DuplexFormat.Instance.Read(bytes.AsSpan(0, length), new int[16]));
        var beyond = (link with { UplinkQuality = 300, UplinkSnr = -400 }).Write(bytes);
        Assert.Equal(
            (255, -128),
            LinkStatistics.Read(bytes.AsSpan(0, beyond)) is { } read ? (read.UplinkQuality, read.UplinkSnr) : default
        );
    }

    [Theory]
    [MemberData(nameof(All))]
    public void The_bench_arms_and_flies_on_every_format(WireFormat format)
    {
        var setup = Demo.Plain with { Wire = Demo.Plain.Wire with { Format = format, FramePeriod = new(22.5) } };
        // Channel 1 of the format is the throttle in Burst 7; here the sticks go by the order that both sides agree on.
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(300));
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(600));
        bench.Move("throttle", 0);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(900));
        var snapshot = bench.Snapshot("throttle");
        Assert.Equal(Zephyros.Core.Board.MotorLevel.Thrust, snapshot.Motors);
        Assert.Equal(SignalPlan.Compile(setup).Wire.Channels, snapshot.Received.Count);
        Assert.Equal(1500, snapshot.Received[2].Value, 1.0);
    }

    // Common practice and memory: 22.5 ms holds nine channels, twelve need 26.7 ms.
    [Theory]
    [InlineData(22.5, 9)]
    [InlineData(26.7, 12)]
    [InlineData(20, 8)]
    [InlineData(3, 0)]
    public void A_pulse_train_holds_what_fits(double period, int channels)
    {
        Assert.Equal(channels, PulseTrainFormat.ChannelsIn(new(period)));
        var setup = Demo.Plain with
        {
            Wire = Demo.Plain.Wire with { Format = WireFormat.PulseTrain, FramePeriod = new(period) },
        };
        Assert.Equal(channels, SignalPlan.CarriedChannels(setup));
    }

    [Fact]
    public void A_format_can_be_changed_while_the_bench_runs()
    {
        var bench = new BenchRun(Demo.Plain);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(100));
        bench.Replace(Demo.Plain with { Wire = Demo.Plain.Wire with { Format = WireFormat.Burst7Coarse } });
        bench.AdvanceTo(TimeSpan.FromMilliseconds(200));
        Assert.Equal(7, bench.Snapshot("throttle").Received.Count);
        Assert.True(bench.Board.HasSignal);
    }

    private static byte[] Stream(SerialCodec codec, int frames, int seed)
    {
        var random = new Random(seed);
        var wire = codec.Descriptor;
        var bytes = new byte[frames * wire.FrameBytes];
        for (var i = 0; i < frames; i++)
            codec.Write(
                [
                    .. Enumerable
                        .Range(0, wire.Channels)
                        .Select(_ => wire.SmallestCount + random.Next(wire.LargestCount - wire.SmallestCount)),
                ],
                i,
                bytes.AsSpan(i * wire.FrameBytes)
            );
        return bytes;
    }
}
