using System.Text;
using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Captures;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Pulses;

namespace Zephyros.Core.Tests.Captures;

public sealed class RecognitionTests
{
    public static TheoryData<WireFormat> All => [.. WireFormats.All];

    [Theory]
    [MemberData(nameof(All))]
    public void The_simulated_receiver_is_recognised_and_its_channels_read(WireFormat format)
    {
        var setup = Demo.Plain with { Wire = Demo.Plain.Wire with { Format = format, FramePeriod = new(22.5) } };
        foreach (var fault in Enum.GetValues<RecordingFault>())
        {
            var verdict = Recognised.As(ReceiverRecording.Of(setup, fault));
            Assert.Equal(format, verdict.Format);
            Assert.Equal(fault == RecordingFault.Flipped, verdict.IsFlipped);
            Assert.Equal(22.5, verdict.Interval!.Value.Value, 1);
            if (fault != RecordingFault.LooseWire)
                Assert.Equal(0, verdict.DamagedFrames);
            else if (format is not (WireFormat.SeparatePulses or WireFormat.PulseTrain))
                Assert.Equal(verdict.Frames.Count / 8.0, verdict.DamagedFrames, 2.0);
            if (format == WireFormat.SeparatePulses)
                continue;
            var throttle = verdict.Channels[2];
            Assert.Equal(1000, throttle.Lowest.Value, 1.0);
            Assert.Equal(1000, throttle.Rest.Value, 1.0);
            // Where the transmitter is switched off only roll and pitch are moved.
            Assert.Equal(fault == RecordingFault.TransmitterOff ? 1000 : 2000, throttle.Highest.Value, 1.0);
        }
    }

    // 1 % wrong speed, 2 % of a bit of jitter, bursts of noise, any start, inverted or not, three whole frames at least.
    [Theory]
    [MemberData(nameof(All))]
    public void A_poor_recording_is_recognised(WireFormat format) =>
        Gen.Select(Gen.Int, Gen.Double[0.99, 1.01], Gen.Bool, Gen.Int[3, 8])
            .Sample(
                (seed, speed, flipped, frames) =>
                {
                    var verdict = Recognised.As(Poor(format, new Random(seed), speed, flipped, frames));
                    return verdict.Format == format && verdict.IsFlipped == flipped;
                },
                iter: Iterations.Of(60)
            );

    private static LineCapture Poor(WireFormat format, Random random, double speed, bool flipped, int frames)
    {
        const long Period = 25_000_000;
        var edges = new List<Edge>();
        var wire = format.Describe();
        int[] counts =
        [
            .. Enumerable
                .Range(0, wire.Channels)
                .Select(_ => wire.ToCount(new(1000 + random.Next(1000)), CountRounding.Nearest)),
        ];
        for (var i = 0; i < frames + 1; i++)
        {
            counts[random.Next(counts.Length)] = wire.ToCount(new(1000 + random.Next(1000)), CountRounding.Nearest);
            switch (format.Codec())
            {
                case SerialCodec serial:
                    var bytes = new byte[wire.FrameBytes];
                    SerialWave.Draw(bytes.AsSpan(0, serial.Write(counts, i, bytes)), serial.Framing, i * Period, edges);
                    break;
                case PulseTrainFormat:
                    PulseTrainFormat.Draw(counts.AsSpan(0, 8), i * Period, edges);
                    break;
                default:
                    SeparatePulsesFormat.Draw(counts[0], i * Period, edges);
                    break;
            }
        }

        var idle = wire.Framing is { Inverted: false };
        var bit = wire.Framing?.BitMicroseconds * 1000 ?? 20_000;
        // The recording begins inside the first frame; a burst of noise stands in a pause.
        var start = edges[random.Next(Math.Max(1, edges.Count / (frames + 1)))].At;
        var noise = Period + (Period / 2) + (3 * Period / 10);
        var changes = edges.Select(e =>
            (At: (long)(e.At * speed) + (long)((random.NextDouble() - 0.5) * 0.04 * bit), e.High)
        );
        for (var i = 0; i < 4; i++)
            changes = changes.Concat([(noise + (i * 700), !idle), (noise + (i * 700) + 200, idle)]);
        var kept = new List<long>();
        var level = idle;
        foreach (var change in changes.OrderBy(c => c.At))
        {
            if (change.High == level)
                continue;
            level = change.High;
            kept.Add(change.At);
        }

        // Level at the start as it was there.
        var before = kept.Count(at => at < start);
        var startsHigh = idle ^ (before % 2 != 0) ^ flipped;
        return new LineCapture(
            "line",
            startsHigh,
            [.. kept.Skip(before).Select(at => at - start)],
            ((frames + 2) * Period) - start
        );
    }

    [Fact]
    public void What_does_not_fit_is_said()
    {
        var slow = new SerialFraming(57_600, Parity.Odd, 1, Inverted: false);
        var edges = new List<Edge>();
        var bytes = new byte[300];
        new Random(3).NextBytes(bytes);
        SerialWave.Draw(bytes, slow, 1_000_000, edges);
        var verdict = Recognised.As(SerialWave.Record("line", true, edges, 70_000_000));
        Assert.Null(verdict.Format);
        Assert.Contains("8O1, idles high", verdict.Notes[0], StringComparison.Ordinal);
        Assert.Equal(57_600, verdict.Baud!.Value, 100.0);
        Assert.Equal(bytes, verdict.Bytes.Select(b => b.Value));
        Assert.Equal("The line hardly moves", Recognised.As(new LineCapture("x", false, [5, 9], 100)).Title);
        var flipped = Recognised.As(ReceiverRecording.Of(Demo.Wren, RecordingFault.Flipped));
        Assert.Contains(flipped.Notes, n => n.Contains("an inverter sits in between", StringComparison.Ordinal));
    }

    [Fact]
    public void Bare_bytes_are_recognised_without_times()
    {
        var codec = (SerialCodec)WireFormat.Word14.Codec();
        var dump = new byte[5 + (6 * 32)];
        for (var i = 0; i < 6; i++)
            codec.Write([.. Enumerable.Repeat(1500 + i, 14)], i, dump.AsSpan(5 + (32 * i)));
        var verdict = Recogniser.Recognise(dump);
        Assert.Equal((WireFormat.Word14, 6), (verdict.Format, verdict.Frames.Count));
        Assert.Null(Recogniser.Recognise(new byte[400]).Format);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void A_recording_comes_through_both_files_and_can_be_drawn(WireFormat format)
    {
        var setup = Demo.Plain with { Wire = Demo.Plain.Wire with { Format = format, FramePeriod = new(22.5) } };
        var recording = ReceiverRecording.Of(setup);
        foreach (var text in new[] { CaptureWriter.ToVcd(recording), CaptureWriter.ToCsv(recording) })
        {
            var (capture, verdict) = Assert.Single(Read(text).Lines);
            Assert.Equal(recording.StartsHigh, capture!.StartsHigh);
            Assert.Equal(recording.Changes, capture.Changes);
            Assert.Equal(format, verdict!.Format);
            var drawing = FrameDrawing.Of(capture, verdict, 2)!;
            Assert.True(drawing.Changes.Count > 1);
            if (format.Codec() is SerialCodec codec)
            {
                Assert.Equal(codec.Descriptor.FrameBytes, drawing.Bytes.Count);
                Assert.All(
                    drawing.Bytes.Zip(drawing.Bytes.Skip(1)),
                    pair =>
                        Assert.InRange(pair.Second.At.Value - pair.First.At.Value - pair.First.Length.Value, -0.1, 0.1)
                );
            }

            Assert.Null(FrameDrawing.Of(capture, verdict, verdict.Frames.Count + 1));
        }
    }

    [Theory]
    [InlineData("$timescale 1 parsec $end", 1, "time scale")]
    [InlineData("$timescale 1ns $end\n#5\n", 2, "before $enddefinitions")]
    [InlineData("$var wire 1 ! a $end\n$enddefinitions $end\n#9\n1!\n#3\n", 5, "Time goes back")]
    [InlineData("$var wire 1 ! a $end\n$enddefinitions $end\n#99999999999999999999\n", 3, "is no time")]
    [InlineData("$var wire 1\n$end", 2, "A declaration needs")]
    [InlineData("$enddefinitions $end\n#1\n", 0, "declares no wire")]
    [InlineData("$var wire 1 ! a $end\n$enddefinitions $end\n", 0, "holds no time")]
    [InlineData("time,level\n0,1\n1,2\n", 3, "A level is 0 or 1")]
    [InlineData("0,1\nsoon,0\n", 2, "is no time")]
    [InlineData("0.5,1\n0.1,0\n", 2, "Time goes back")]
    [InlineData("hello\n", 1, "needs a time and a level")]
    [InlineData("", 0, "The file is empty")]
    public void A_bad_file_is_refused_with_its_line(string text, int line, string reason)
    {
        var problem = Read(text).Problem!;
        Assert.Equal(line, problem.Line);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    // Half of its channels come in every second frame: until then they stand in the middle, and nowhere else.
    [Fact]
    public void A_channel_that_no_frame_has_brought_yet_stands_in_the_middle()
    {
        var codec = (SerialCodec)WireFormat.Burst7.Codec();
        var edges = new List<Edge>();
        for (var i = 0; i < 4; i++)
        {
            var frame = new byte[codec.Descriptor.FrameBytes];
            codec.Write([.. Enumerable.Repeat(1500, codec.Descriptor.Channels)], turn: 0, frame);
            SerialWave.Draw(frame, codec.Framing, 11_000_000L * (i + 1), edges);
        }

        var verdict = Recognised.As(SerialWave.Record("x", !codec.Framing.Inverted, edges, 60_000_000));
        Assert.Equal(WireFormat.Burst7, verdict.Format);
        var middle = codec.Descriptor.ToCount(Microseconds.Neutral, CountRounding.Nearest);
        Assert.Equal([middle, 1500], verdict.Frames[^1].Counts.Distinct().Order());
    }

    [Fact]
    public void White_space_alone_is_bytes_in_which_nothing_is_found()
    {
        var (capture, verdict) = Assert.Single(Read("\n\n").Lines);
        Assert.Null(capture);
        Assert.Null(verdict.Format);
    }

    [Fact]
    public void A_heading_gives_the_unit_and_other_wires_are_named()
    {
        var capture = Assert.Single(Read("t [ms];level\r\n0;0\r\n1.5;1\r\n").Lines).Capture!;
        Assert.Equal([1_500_000], capture.Changes.ToArray());
        var two = Read(
            "$timescale 10 us $end $var wire 1 a still $end $var wire 1 b busy $end $enddefinitions $end #0 0a 0b #2 1b #3 0b #5"
        ).Lines;
        Assert.Equal(["busy", "still"], two.Select(l => l.Capture!.Name));
        Assert.Equal(50_000, two[0].Capture!.End);
        Assert.Equal([20_000, 30_000], two[0].Capture!.Changes.ToArray());
    }

    [Theory]
    [InlineData(CaptureLimits.Wires, null)]
    [InlineData(CaptureLimits.Wires + 1, "A recording may have 64 wires.")]
    public void A_recording_may_have_so_many_wires_and_no_more(int wires, string? refused)
    {
        var declared = Enumerable.Range(0, wires).Select(n => $"$var wire 1 w{n} line{n} $end ");
        var file = $"$timescale 1 us $end {string.Concat(declared)}$enddefinitions $end #0 0w0 #2 1w0 #5 0w0 #9";
        Assert.Equal(refused, Read(file).Problem?.Reason);
    }

    // Whatever is done to a file, it is read or refused.
    [Fact]
    public void Mutated_files_are_read_or_refused()
    {
        byte[][] files =
        [
            Encoding.ASCII.GetBytes(CaptureWriter.ToVcd(Short())),
            Encoding.ASCII.GetBytes(CaptureWriter.ToCsv(Short())),
            Dump(),
        ];
        Gen.Select(Gen.Int[0, 2], Gen.Int, Gen.Int[1, 12])
            .Sample(
                (which, seed, changes) =>
                {
                    var random = new Random(seed);
                    var file = files[which].ToList();
                    for (var i = 0; i < changes; i++)
                    {
                        var at = random.Next(file.Count);
                        switch (random.Next(4))
                        {
                            case 0:
                                file[at] = (byte)random.Next(256);
                                break;
                            case 1:
                                file.RemoveRange(at, Math.Min(random.Next(40), file.Count - at - 1));
                                break;
                            case 2:
                                file.InsertRange(
                                    at,
                                    file.Skip(random.Next(file.Count)).Take(random.Next(60)).ToArray()
                                );
                                break;
                            default:
                                file[at] = (byte)"0123456789#$!,.e-"[random.Next(17)];
                                break;
                        }
                    }

                    var reading = CaptureFile.Read(new MemoryStream([.. file]), TestContext.Current.CancellationToken);
                    foreach (var (capture, verdict) in reading.Lines)
                        if (verdict.Frames.Count > 0 && capture is not null)
                            FrameDrawing.Of(capture, verdict, 1);
                    return reading.Lines.Count == 0 == reading.Problem is not null;
                },
                iter: Iterations.Of(2_000)
            );
    }

    private static CaptureFileReading Read(string text) =>
        CaptureFile.Read(new MemoryStream(Encoding.ASCII.GetBytes(text)), TestContext.Current.CancellationToken);

    private static LineCapture Short()
    {
        var recording = ReceiverRecording.Of(Demo.Wren);
        return new LineCapture(
            "line",
            recording.StartsHigh,
            recording.Changes[..600].ToArray(),
            recording.Changes[600]
        );
    }

    private static byte[] Dump()
    {
        var codec = (SerialCodec)WireFormat.Duplex.Codec();
        var dump = new byte[20 * codec.Descriptor.FrameBytes];
        for (var i = 0; i < 20; i++)
            codec.Write([.. Enumerable.Repeat(900, 16)], i, dump.AsSpan(i * codec.Descriptor.FrameBytes));
        return dump;
    }
}
