using System.Diagnostics;
using System.Globalization;
using System.Text;
using Zephyros.Core.Captures;
using Zephyros.Core.Wire;

namespace Zephyros.Benchmarks;

/// <summary>How long it takes to read and recognise recordings, and how much memory.</summary>
internal static class CaptureFigures
{
    /// <summary>Prints everything.</summary>
    public static void Print()
    {
        // The first reading of a process pays for the compiler.
        Read(File(WireFormat.Packed16, 1));
        foreach (var format in new[] { WireFormat.Packed16, WireFormat.Duplex, WireFormat.PulseTrain })
        foreach (var megabytes in new[] { 10, 48 })
        {
            var path = Path.GetTempFileName();
            System.IO.File.WriteAllBytes(path, File(format, megabytes));
            GC.Collect();
            var before = GC.GetTotalMemory(forceFullCollection: true);
            var clock = Stopwatch.StartNew();
            using var stream = System.IO.File.OpenRead(path);
            var (capture, verdict) = CaptureFile.Read(stream, CancellationToken.None).Lines[0];
            var seconds = clock.Elapsed.TotalSeconds;
            var kept = GC.GetTotalMemory(forceFullCollection: true) - before;
            var peak = GC.GetGCMemoryInfo(GCKind.Any).HeapSizeBytes;
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{stream.Length / 1e6:0} MB of {format} as VCD: {seconds:0.00} s, {verdict.Frames.Count:N0} frames, recognised as {verdict.Format}; {kept >> 20} MB kept, heap {peak >> 20} MB, process {Process.GetCurrentProcess().PeakWorkingSet64 >> 20} MB at its peak"
                )
            );
            GC.KeepAlive(capture);
            System.IO.File.Delete(path);
        }
    }

    private static void Read(byte[] file) => CaptureFile.Read(new MemoryStream(file), CancellationToken.None);

    // A recording of so many megabytes, of frames that all differ as hands move: what leaps is not believed without a checksum.
    private static byte[] File(WireFormat format, int megabytes)
    {
        const long Period = 10_000_000;
        var wire = format.Describe();
        var random = new Random(1);
        var edges = new List<Edge>();
        var counts = new int[wire.Channels];
        int[] pulses = [.. Enumerable.Repeat(1500, wire.Channels)];
        var bytes = new byte[Math.Max(1, wire.FrameBytes)];
        // Eighteen bytes at most for each change of level.
        for (var i = 0; edges.Count * 18L < megabytes * 1_000_000L; i++)
        {
            for (var c = 0; c < counts.Length; c++)
            {
                pulses[c] = Math.Clamp(pulses[c] + random.Next(-20, 21), 1000, 2000);
                counts[c] = wire.ToCount(new(pulses[c]), CountRounding.Nearest);
            }

            if (format.Codec() is SerialCodec serial)
                SerialWave.Draw(bytes.AsSpan(0, serial.Write(counts, i, bytes)), serial.Framing, i * Period, edges);
            else
                Core.Wire.Pulses.PulseTrainFormat.Draw(counts.AsSpan(0, 8), i * 2 * Period, edges);
        }

        var capture = SerialWave.Record("line", wire.Framing is { Inverted: false }, edges, edges[^1].At + Period);
        return Encoding.ASCII.GetBytes(CaptureWriter.ToVcd(capture));
    }
}
