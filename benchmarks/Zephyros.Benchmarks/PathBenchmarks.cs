using BenchmarkDotNet.Attributes;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire.Packed16;

namespace Zephyros.Benchmarks;

/// <summary>The inner loops: a 16-channel model, and frames of the wire.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class PathBenchmarks
{
    private const int Frames = 1000;

    private readonly byte[] bytes = new byte[Packed16Format.FrameBytes];
    private readonly byte[] stream = new byte[Frames * Packed16Format.FrameBytes];
    private readonly Packed16Decoder decoder = new();
    private ModelPlan plan = null!;
    private ModelMemory memory = null!;
    private Percent[] hands = null!;
    private Percent[] slots = null!;
    private Microseconds[] sent = null!;
    private Packed16Frame frame;

    [GlobalSetup]
    public void Prepare()
    {
        plan = SixteenChannels();
        hands = plan.StartValues();
        memory = plan.PowerOn();
        slots = new Percent[plan.SlotCount];
        sent = new Microseconds[plan.ChannelCount];
        var filled = default(Packed16Frame);
        for (var i = 0; i < Packed16Format.Channels; i++)
            filled[i] = (ushort)(172 + (i * 100));
        frame = filled;
        for (var i = 0; i < Frames; i++)
            Packed16Codec.Encode(frame, stream.AsSpan(i * Packed16Format.FrameBytes));
    }

    /// <summary>All sixteen channels: take, scale, output stage.</summary>
    [Benchmark]
    public Microseconds EvaluateSixteenChannels()
    {
        plan.Evaluate(new ModelInputs(hands), TimeSpan.FromMilliseconds(7), memory, slots, sent);
        return sent[15];
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

    private static ModelPlan SixteenChannels()
    {
        var setup = SetupJson
            .Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "demo/sandpiper.json")))
            .Setup!;
        var pattern = setup.Model.Channels["throttle"];
        var channels = setup.Model.Channels;
        var taken = channels.Values.Select(c => c.Number.Value).ToHashSet();
        foreach (var number in Enumerable.Range(1, 16).Where(n => !taken.Contains(n)))
            channels = channels.SetItem($"extra-{number}", pattern with { Number = new ChannelNumber(number) });
        foreach (var (id, channel) in channels)
            channels = channels.SetItem(id, channel with { Steps = pattern.Steps });
        return ModelPlan.Compile(setup.Transmitter, setup.Model with { Channels = channels });
    }
}
