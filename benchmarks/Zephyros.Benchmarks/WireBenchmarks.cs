using BenchmarkDotNet.Attributes;
using Zephyros.Core.Wire;

namespace Zephyros.Benchmarks;

/// <summary>Frames of the wire, written and read.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class WireBenchmarks
{
    private const int Frames = 1000;

    private readonly int[] counts = new int[16];
    private SerialCodec codec = null!;
    private FrameSearch search = null!;
    private byte[] bytes = [];
    private byte[] stream = [];

    /// <summary>The format.</summary>
    [Params(WireFormat.Packed16, WireFormat.Word14, WireFormat.Burst7, WireFormat.Duplex)]
    public WireFormat Format { get; set; }

    [GlobalSetup]
    public void Prepare()
    {
        codec = (SerialCodec)Format.Codec();
        var wire = codec.Descriptor;
        for (var i = 0; i < counts.Length; i++)
            counts[i] = wire.SmallestCount + 172 + (i * 90);
        bytes = new byte[wire.FrameBytes];
        stream = new byte[Frames * wire.FrameBytes];
        for (var i = 0; i < Frames; i++)
            codec.Write(counts, i, stream.AsSpan(i * wire.FrameBytes));
        search = codec.CreateSearch();
    }

    /// <summary>One frame written.</summary>
    [Benchmark]
    public int EncodeFrame() => codec.Write(counts, 0, bytes);

    /// <summary>One frame found in a stream and read.</summary>
    [Benchmark(OperationsPerInvoke = Frames)]
    public int DecodeFrame()
    {
        ReadOnlySpan<byte> rest = stream;
        var read = 0;
        while (search.TryFind(ref rest, out var found))
            read += (int)codec.Read(found, counts);
        return read;
    }
}
