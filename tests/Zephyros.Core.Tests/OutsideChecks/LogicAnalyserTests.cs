using System.Text;
using Zephyros.Core.Captures;
using Zephyros.Core.Tests.Captures;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>Recordings that Zephyros writes against the UART decoder of the logic analyser package sigrok-cli (Debian's package): byte
/// for byte the same.</summary>
public sealed class LogicAnalyserTests
{
    [Theory]
    [InlineData(WireFormat.Packed16, "baudrate=100000:parity=even:invert_rx=yes", 100)]
    [InlineData(WireFormat.Word14, "baudrate=115200", 100)]
    [InlineData(WireFormat.Duplex, "baudrate=420000", 10)]
    public void The_analyser_decodes_the_same_bytes(WireFormat format, string options, int downsample)
    {
        var codec = (SerialCodec)format.Codec();
        var random = new Random(7);
        var sent = new List<byte>();
        var edges = new List<Edge>();
        for (var i = 0; i < 20; i++)
        {
            var frame = new byte[codec.Descriptor.FrameBytes];
            codec.Write([.. Enumerable.Range(0, 16).Select(_ => 900 + random.Next(1100))], i, frame);
            SerialWave.Draw(frame, codec.Framing, 7_000_000L * (i + 1), edges);
            sent.AddRange(frame);
        }

        var capture = SerialWave.Record("line", !codec.Framing.Inverted, edges, 7_000_000L * 22);
        var folder = Directory.CreateTempSubdirectory("zephyros-analyser-").FullName;
        try
        {
            File.WriteAllText(System.IO.Path.Combine(folder, "line.vcd"), CaptureWriter.ToVcd(capture));
            var decoded = OutsideProgram.Run(
                folder,
                "sigrok-cli",
                "-I",
                $"vcd:downsample={downsample}",
                "-i",
                "line.vcd",
                "-P",
                $"uart:rx=line:{options}",
                "-B",
                "uart=rx"
            );
            Assert.Equal(sent, Encoding.Latin1.GetBytes(decoded));
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }

        // What Zephyros itself reads out of the same recording.
        Assert.Equal(sent, Recognised.As(capture).Bytes.Select(b => b.Value));
    }

    // The other way round: the analyser writes the recording, out of bare samples, and Zephyros reads it.
    [Fact]
    public void A_recording_that_the_analyser_writes_is_read()
    {
        var codec = (SerialCodec)WireFormat.Packed16.Codec();
        var sent = new List<byte>();
        var edges = new List<Edge>();
        for (var i = 0; i < 5; i++)
        {
            var frame = new byte[codec.Descriptor.FrameBytes];
            codec.Write([.. Enumerable.Range(0, 16).Select(c => 200 + (100 * c) + i)], i, frame);
            SerialWave.Draw(frame, codec.Framing, 7_000_000L * (i + 1), edges);
            sent.AddRange(frame);
        }

        // A sample each microsecond: what the last edge before it left.
        var samples = new byte[42_000];
        var (level, next) = (!codec.Framing.Inverted, 0);
        for (var at = 0; at < samples.Length; at++)
        {
            for (; next < edges.Count && edges[next].At <= at * 1000L; next++)
                level = edges[next].High;
            samples[at] = level ? (byte)1 : (byte)0;
        }

        var folder = Directory.CreateTempSubdirectory("zephyros-analyser-").FullName;
        try
        {
            File.WriteAllBytes(System.IO.Path.Combine(folder, "samples"), samples);
            string[] arguments =
            [
                "-I",
                "binary:numchannels=1:samplerate=1000000",
                "-i",
                "samples",
                "-O",
                "vcd",
                "-o",
                "line.vcd",
            ];
            OutsideProgram.Run(folder, "sigrok-cli", arguments);
            using var written = File.OpenRead(System.IO.Path.Combine(folder, "line.vcd"));
            var (_, verdict) = Assert.Single(CaptureFile.Read(written, TestContext.Current.CancellationToken).Lines);
            Assert.Equal(sent, verdict.Bytes.Select(b => b.Value));
            var own = Recognised.As(SerialWave.Record("line", !codec.Framing.Inverted, edges, 42_000_000));
            Assert.Equal((own.Format, own.Frames.Count), (verdict.Format, verdict.Frames.Count));
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
