using BenchmarkDotNet.Attributes;
using Zephyros.Core.Wire.Packed16;

namespace Zephyros.Benchmarks;

/// <summary>Frames of the wire, written and read.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class WireBenchmarks
{
    private const int Frames = 1000;

    private readonly byte[] bytes = new byte[Packed16Format.FrameBytes];
    private readonly byte[] stream = new byte[Frames * Packed16Format.FrameBytes];
    private readonly Packed16Decoder decoder = new();
    private Packed16Frame frame;

    [GlobalSetup]
    public void Prepare()
    {
        var filled = default(Packed16Frame);
        for (var i = 0; i < Packed16Format.Channels; i++)
            filled[i] = (ushort)(172 + (i * 100));
        frame = filled;
        for (var i = 0; i < Frames; i++)
            Packed16Codec.Encode(frame, stream.AsSpan(i * Packed16Format.FrameBytes));
    }

    /// <summary>One frame written.</summary>
    [Benchmark]
    public byte EncodeFrame()
    {
        Packed16Codec.Encode(frame, bytes);
        return bytes[1];
    }

    /// <summary>One frame found in a stream and read.</summary>
    [Benchmark(OperationsPerInvoke = Frames)]
    public int DecodeFrame()
    {
        ReadOnlySpan<byte> rest = stream;
        var read = 0;
        while (decoder.TryRead(ref rest, out var found))
            read += found[15];
        return read;
    }
}
